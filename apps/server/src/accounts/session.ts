import { createParamDecorator, Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import { Refusal } from '../errors/refusal.js';

declare module 'express-session' {
  interface SessionData {
    accountId: string;
    yardId: string;
  }
}

/** Who is asking, and the only yard whose rows they may see. */
export interface Visitor {
  accountId: string;
  yardId: string;
}

const visitorOf = (request: Request): Visitor | null => {
  const { accountId, yardId } = request.session ?? {};
  return accountId && yardId ? { accountId, yardId } : null;
};

@Injectable()
export class SignedIn implements CanActivate {
  canActivate(context: ExecutionContext): boolean {
    if (visitorOf(context.switchToHttp().getRequest<Request>())) return true;
    throw new Refusal(401, { says: 'Sign in first.' });
  }
}

export const CurrentVisitor = createParamDecorator((_: unknown, context: ExecutionContext): Visitor => {
  const visitor = visitorOf(context.switchToHttp().getRequest<Request>());
  if (!visitor) throw new Refusal(401, { says: 'Sign in first.' });
  return visitor;
});

/** A new session id at every sign-in, so that one planted beforehand is worth nothing. */
export function begin(request: Request, visitor: Visitor): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((error) => {
      if (error) return reject(error as Error);
      Object.assign(request.session, visitor);
      request.session.save((failed) => (failed ? reject(failed as Error) : resolve()));
    });
  });
}

export function end(request: Request): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.destroy((error) => (error ? reject(error as Error) : resolve()));
  });
}
