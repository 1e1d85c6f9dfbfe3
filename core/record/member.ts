/** What somebody is in a practice, from the least to the most: each may what the one before may. */
export const MEMBER_ROLES = ['assistant', 'practitioner', 'owner'] as const;
export type MemberRole = (typeof MEMBER_ROLES)[number];
