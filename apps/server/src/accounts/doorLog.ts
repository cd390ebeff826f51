import { Injectable, Logger } from '@nestjs/common';
import type { Request } from 'express';

/** What happened at the door. Never a password, a link, a cookie or a document. */
interface Happened {
  event: string;
  account?: string;
  yard?: string;
  role?: string;
  of?: string;
}

/** The log of who came in, who was refused and who was given what. */
@Injectable()
export class DoorLog {
  private readonly log = new Logger('door');

  note(request: Request, happened: Happened): void {
    this.log.log({ ...happened, address: request.ip });
  }

  refused(request: Request, happened: Happened): void {
    this.log.warn({ ...happened, address: request.ip });
  }
}
