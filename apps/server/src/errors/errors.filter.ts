import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Response } from 'express';
import { Refusal, type RefusalBody } from './refusal.js';

const PLAIN: Record<number, string> = {
  400: 'The request could not be read.',
  401: 'Sign in first.',
  403: 'That is not allowed from here.',
  404: 'There is nothing here under that address.',
  413: 'Wanted at most 5 MB, got more.',
  415: 'Wanted JSON, got something else.',
  429: 'Too many tries. Wait a minute and try again.',
};

interface RawError {
  status?: unknown;
  type?: unknown;
  message?: unknown;
}

/** Body-parser errors carry a status of their own and are not HttpExceptions. */
function parserStatus(error: unknown): number | null {
  const { status, type } = (error ?? {}) as RawError;
  return typeof status === 'number' && status >= 400 && status < 500 && typeof type === 'string'
    ? status
    : null;
}

function sentence(status: number, error: unknown): string {
  if (error instanceof HttpException) {
    const body = error.getResponse() as { message?: string | string[] };
    const message = typeof body === 'object' ? body.message : undefined;
    if (status === 400 && message !== undefined) return Array.isArray(message) ? message.join('; ') : message;
  }
  const { type } = (error ?? {}) as RawError;
  if (type === 'entity.parse.failed') return 'Wanted JSON, got text that does not parse.';
  return (
    PLAIN[status] ??
    (status < 500 ? 'The request was refused.' : 'Something failed here; nothing was changed.')
  );
}

/** The one place where errors become answers. */
@Catch()
export class ErrorsFilter implements ExceptionFilter {
  private readonly log = new Logger('errors');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) return;
    if (error instanceof Refusal) {
      response.status(error.getStatus()).json(error.getResponse());
      return;
    }
    const status = error instanceof HttpException ? error.getStatus() : (parserStatus(error) ?? 500);
    if (status >= 500) this.log.error(error);
    response.status(status).json({ says: sentence(status, error) } satisfies RefusalBody);
  }
}
