import { checkUnit, sayFault, type OwnUnit } from '@even-tally/core';
import { Injectable, type PipeTransform } from '@nestjs/common';
import { Refusal } from '../errors/refusal.js';

/** A unit as it is sent in, checked by the one statement of it: what a job file may state of its own. */
@Injectable()
export class UnitPipe implements PipeTransform<unknown, OwnUnit> {
  transform(value: unknown): OwnUnit {
    const checked = checkUnit(value ?? {});
    if (checked.ok) return checked.unit;
    const [first] = checked.faults;
    throw new Refusal(400, { says: first ? sayFault(first) : '', faults: checked.faults.slice(0, 100) });
  }
}
