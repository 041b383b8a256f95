import type { Role } from '../../../shared/contract'

/** What somebody can be at a site, in words. */
export const ROLES: { value: Role; label: string; may: string }[] = [
  { value: 'owner', label: 'Owner', may: 'decides on the site: its people, its name, what is deleted' },
  { value: 'editor', label: 'Editor', may: 'changes content and searches, and publishes' },
  { value: 'viewer', label: 'Viewer', may: 'looks at everything, and changes nothing' },
]

export const roleInWords = (role: Role) => ROLES.find(one => one.value === role)!
