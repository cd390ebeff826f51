import { SERVER } from '@even-tally/words';
import { createParamDecorator, Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { Refusal } from '../errors/refusal.js';
import { NEEDS, reaches, type Role } from './roles.js';

declare module 'express-session' {
  interface SessionData {
    accountId: string;
    yardId: string;
    /** What the browser says it is, for the list of one's sessions. */
    agent: string;
    /** Read anew with the session at each request, and never written. */
    role: Role;
    email: string | null;
    yard: { name: string; demo: boolean };
    seen: number;
  }
}

/** Who is asking, the only yard whose rows they may see, and what they may do there. */
export interface Visitor {
  accountId: string;
  yardId: string;
  role: Role;
  /** Null for a visitor of the demo yard. */
  email: string | null;
  demo: boolean;
}

export function visitorOf(request: Request): Visitor | null {
  const { accountId, yardId, role, email, yard } = request.session ?? {};
  if (!accountId || !yardId || !role) return null;
  return { accountId, yardId, role, email: email ?? null, demo: yard?.demo ?? false };
}

@Injectable()
export class SignedIn implements CanActivate {
  constructor(private readonly reflector: Reflector) {}

  canActivate(context: ExecutionContext): boolean {
    const visitor = visitorOf(context.switchToHttp().getRequest<Request>());
    if (!visitor) throw new Refusal(401, { says: SERVER.signInFirst });
    const needed = this.reflector.getAllAndOverride<Role | undefined>(NEEDS, [
      context.getHandler(),
      context.getClass(),
    ]);
    if (needed === undefined || reaches(visitor.role, needed)) return true;
    throw new Refusal(403, { says: SERVER.mayNot({ what: needed }) });
  }
}

export const CurrentVisitor = createParamDecorator((_: unknown, context: ExecutionContext): Visitor => {
  const visitor = visitorOf(context.switchToHttp().getRequest<Request>());
  if (!visitor) throw new Refusal(401, { says: SERVER.signInFirst });
  return visitor;
});

/** A new session id at every sign-in, so that one planted beforehand is worth nothing. */
export function begin(request: Request, visitor: Pick<Visitor, 'accountId' | 'yardId'>): Promise<void> {
  const agent = (request.headers['user-agent'] ?? '').replace(/[^\x20-\x7e]/g, '').slice(0, 200);
  return new Promise((resolve, reject) => {
    request.session.regenerate((error) => {
      if (error) return reject(error as Error);
      Object.assign(request.session, { accountId: visitor.accountId, yardId: visitor.yardId, agent });
      request.session.save((failed) => (failed ? reject(failed as Error) : resolve()));
    });
  });
}

export function end(request: Request): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.destroy((error) => (error ? reject(error as Error) : resolve()));
  });
}
