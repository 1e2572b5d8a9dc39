import type { Member } from './recordKinds'

/** Whether a member of this role has one place in plan: it goes straight down to what is under it, or up to what it hangs from. */
export const isUpright = (role: string): role is Extract<Member['role'], 'column' | 'hanger'> =>
  role === 'column' || role === 'hanger'
