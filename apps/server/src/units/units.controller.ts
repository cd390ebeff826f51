import type { OwnUnit } from '@even-tally/core';
import { Body, Controller, Delete, Get, HttpCode, Param, Put, UseGuards } from '@nestjs/common';
import { ApiBody, ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import { Needs } from '../accounts/roles.js';
import { CurrentVisitor, SignedIn, type Visitor } from '../accounts/session.js';
import { UnitPipe } from './unit.pipe.js';
import { UnitsService } from './units.service.js';

/** The yard's own units, for all its jobs. */
@ApiTags('units')
@ApiCookieAuth()
@Controller('api/yard/units')
@UseGuards(SignedIn)
@Needs('reads')
export class UnitsController {
  constructor(private readonly units: UnitsService) {}

  @Get()
  list(@CurrentVisitor() { yardId }: Visitor): Promise<OwnUnit[]> {
    return this.units.list(yardId);
  }

  /** Keeps one, in the place of the one that had its id. */
  @Put()
  @HttpCode(204)
  @Needs('plans')
  @ApiBody({ schema: { type: 'object', description: 'A unit as a job file states its own.' } })
  keep(@CurrentVisitor() { yardId }: Visitor, @Body(UnitPipe) unit: OwnUnit): Promise<void> {
    return this.units.keep(yardId, [unit]);
  }

  @Delete(':unitId')
  @HttpCode(204)
  @Needs('plans')
  remove(@CurrentVisitor() { yardId }: Visitor, @Param('unitId') id: string): Promise<void> {
    return this.units.remove(yardId, id);
  }
}
