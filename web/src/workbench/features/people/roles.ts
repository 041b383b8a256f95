import type { Role } from '../../../shared/contract'

/** What somebody can be at a site, in words. */
export const ROLES: { value: Role; label: string; one: string; may: string }[] = [
  {
    value: 'owner',
    label: 'Owner',
    one: 'an owner',
    may: 'decides on the site: its people, its name, what is deleted',
  },
  { value: 'editor', label: 'Editor', one: 'an editor', may: 'changes content and searches, and publishes' },
  { value: 'viewer', label: 'Viewer', one: 'a viewer', may: 'looks at everything, and changes nothing' },
]

export const roleInWords = (role: Role) => ROLES.find(one => one.value === role)!
