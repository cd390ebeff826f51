import { SetMetadata, type CustomDecorator } from '@nestjs/common';

/** What somebody may do in a yard, each with all that stands before it: read, add to the record, plan, and own. */
export const ROLES = ['reads', 'logs', 'plans', 'owns'] as const;
export type Role = (typeof ROLES)[number];

/** Whether a role is as much as another. */
export const reaches = (role: Role, needed: Role): boolean => ROLES.indexOf(role) >= ROLES.indexOf(needed);

export const NEEDS = 'needs';
/** The role a route needs, of the yard the visitor is in. A route that says none needs only that somebody is signed in. */
export const Needs = (role: Role): CustomDecorator => SetMetadata(NEEDS, role);
