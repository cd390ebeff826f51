import { createWords, declaredOf, languageAsked, SERVER } from '@even-tally/words';
import type { Message, Said, Say } from '@even-tally/core';
import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import { Refusal, type RefusalBody } from './refusal.js';

const PLAIN: Record<number, Said> = {
  400: SERVER.unreadable,
  401: SERVER.signInFirst,
  403: SERVER.notAllowed,
  404: SERVER.nothingThere,
};

/** The database's refusals that are the asker's doing: what cannot be written down, or is not there any more. */
const OF_DATABASE: Record<string, [number, string]> = {
  '22021': [400, 'Wanted whole characters, got some that are none.'],
  '22P05': [400, 'Wanted text without control characters.'],
  '22003': [400, 'Wanted a smaller number.'],
  '22P02': [400, 'The request could not be read.'],
  '23503': [404, 'What this belongs to is not there any more.'],
  '40P01': [409, 'Somebody else was changing the same. Try again.'],
  '40001': [409, 'Somebody else was changing the same. Try again.'],
  '55P03': [409, 'Somebody else is changing the same. Try again.'],
};

/** Where the database is away, nothing was asked of it: whoever asked may try again. */
const AWAY = ['ECONNREFUSED', 'ECONNRESET', 'ETIMEDOUT', 'EPIPE', '57P01', '57P02', '57P03', '53300'];

function isAway(error: unknown): boolean {
  const { code, name, message = '' } = (error ?? {}) as { code?: string; name?: string; message?: string };
  return (
    (code !== undefined && AWAY.includes(code)) ||
    name === 'KnexTimeoutError' ||
    /connection terminated|timeout expired|client has encountered a connection error/i.test(message)
  );
}

/** What a check of a body says: a sentence of the catalogue by its code and property, or words as they stand. */
function checked(message: string): Said {
  const [, code, property = ''] = /^(server\.\w+) (\w+)$/.exec(message) ?? [];
  return code === undefined ? message : { code, values: 'property' in declaredOf(code) ? { property } : {} };
}

function sentence(status: number, error: HttpException, say: Say): string {
  const body = error.getResponse() as { message?: string | string[] };
  const message = typeof body === 'object' ? body.message : undefined;
  if (status === 400 && message !== undefined)
    return [message]
      .flat()
      .map((one) => say(checked(one)))
      .join('; ');
  return say(PLAIN[status] ?? SERVER.refused);
}

/** What was asked for may have been done before it failed: only reading is known to have changed nothing. */
const unknown = (request: Request): Message =>
  ['GET', 'HEAD'].includes(request.method) ? SERVER.failed : SERVER.failedUnknown;

/** The one place where errors become answers. */
@Catch()
export class ErrorsFilter implements ExceptionFilter {
  private readonly log = new Logger('errors');
  private readonly door = new Logger('door');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) return;
    const request = host.switchToHttp().getRequest<Request>();
    const { say } = createWords(languageAsked(request.headers['accept-language']), 'mm');
    if (error instanceof Refusal) {
      this.noteRefused(error.getStatus(), request);
      const body = error.getResponse() as RefusalBody;
      response
        .status(error.getStatus())
        .set(error.headers)
        .json({ ...body, says: say(body.says) });
      return;
    }
    const answer = (status: number, says: string): void => {
      response.status(status).json({ says } satisfies RefusalBody);
    };
    if (error instanceof HttpException && error.getStatus() < 500)
      return answer(error.getStatus(), sentence(error.getStatus(), error, say));
    const known = OF_DATABASE[(error as { code?: string } | null)?.code ?? ''];
    if (known) return answer(...known);
    this.log.error(error);
    if (isAway(error)) return answer(503, say(SERVER.databaseAway({ then: unknown(request) })));
    answer(500, say(unknown(request)));
  }

  /** Whoever asks for what they may not, or too often, is written down: by whom, from where and for what, and never with what. */
  private noteRefused(status: number, request: Request): void {
    if (status !== 403 && status !== 429) return;
    const { method, path, ip } = request;
    this.door.warn({
      event: 'refused',
      status,
      method,
      path,
      address: ip,
      account: request.session?.accountId,
    });
  }
}
