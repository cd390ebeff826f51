import { Injectable, type PipeTransform } from '@nestjs/common';
import { isUUID } from 'class-validator';
import { checkEntry, sayFault, type RecordEntry } from '@even-tally/core';
import { Refusal } from '../errors/refusal.js';

/** An entry as it is sent in, checked by the one statement of its kind: what is stated there is the DTO. */
@Injectable()
export class EntryPipe implements PipeTransform<unknown, RecordEntry> {
  transform(value: unknown): RecordEntry {
    const faults = checkEntry(value);
    const [first] = faults;
    if (first) throw new Refusal(400, { says: sayFault(first), faults: faults.slice(0, 100) });
    const entry = value as RecordEntry;
    // Made by whoever records it, so that sending it twice records it once, and nobody else's is hit by chance.
    if (!isUUID(entry.id)) throw new Refusal(400, { says: 'id: wanted a UUID' });
    // The database writes them small, and finds one sent again by what it wrote.
    return { ...entry, id: entry.id.toLowerCase() };
  }
}
