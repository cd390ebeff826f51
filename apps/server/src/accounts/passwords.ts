import { SERVER } from '@even-tally/words';
import { hash, verify } from '@node-rs/argon2';
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { Refusal } from '../errors/refusal.js';

/** argon2id with the OWASP minimum: 19 MiB, two passes, one lane (from memory). The library's default is argon2id. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashPassword = (password: string): Promise<string> => hash(password, COST);

const NOBODY = hashPassword('nobody has this password');

/** Takes as long for an unknown account as for a known one, so that timing tells nothing. */
export async function passwordMatches(stored: string | null | undefined, password: string): Promise<boolean> {
  const matches = await verify(stored ?? (await NOBODY), password);
  return stored ? matches : false;
}

/** 49 000 passwords people do take, and the keys that lie side by side, shipped with the library. */
const guesser = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });

/** A list of common passwords with what is done to them (Name2024!, doubled, next key over) is gone through in fewer guesses. */
const LEAST_GUESSES = 1e8;

/** Refuses a password that is among the first anybody would try, the person's own address and yard among them. */
export function refuseCommon(password: string, theirs: readonly string[]): void {
  const { guesses } = guesser.check(password, [...theirs, 'even', 'tally', 'mason', 'masonry']);
  if (guesses < LEAST_GUESSES)
    throw new Refusal(400, {
      says: SERVER.guessed,
    });
}
