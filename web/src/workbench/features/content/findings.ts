import type { Finding } from '../../../shared/contract'

/** What is found wrong, and its sign. */
export const FINDINGS: Record<Finding['kind'], { title: string; icon: string }> = {
  'cannot-be-found': { title: 'Found by no search', icon: 'pi-ban' },
  'no-title': { title: 'No title', icon: 'pi-minus' },
  'same-address': { title: 'One address, several items', icon: 'pi-clone' },
  'same-text': { title: 'The same text twice', icon: 'pi-clone' },
  'dates-past': { title: 'Dates that are past', icon: 'pi-calendar-times' },
  'two-spellings': { title: 'One value, two spellings', icon: 'pi-language' },
  'place-far-off': { title: 'Places far from all others', icon: 'pi-map-marker' },
  'thin-text': { title: 'Few words', icon: 'pi-align-left' },
  'no-summary': { title: 'No summary', icon: 'pi-align-left' },
  'no-image': { title: 'No image', icon: 'pi-image' },
  'no-alternative': { title: 'Images without alternative text', icon: 'pi-image' },
  'field-nearly-empty': { title: 'Fields that are nearly empty', icon: 'pi-stop' },
}

/** The index does not know these, so it cannot tell their titles; and there is nothing to keep them out of. */
export const isUnknown = (finding: Finding) => finding.kind === 'cannot-be-found'

/** Of a whole field no item is to blame. */
export const isOfItems = (finding: Finding) => finding.kind !== 'field-nearly-empty'

/** Findings of one kind, which stand next to one another. */
export interface FindingGroup {
  readonly kind: Finding['kind']
  readonly effect: string
  readonly findings: Finding[]
}

export const inGroups = (findings: readonly Finding[]): FindingGroup[] =>
  findings.reduce<FindingGroup[]>((groups, one) => {
    const last = groups.at(-1)
    if (last?.kind === one.kind) last.findings.push(one)
    else groups.push({ kind: one.kind, effect: one.effect, findings: [one] })
    return groups
  }, [])
