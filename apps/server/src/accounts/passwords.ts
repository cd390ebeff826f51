import { hash, verify } from '@node-rs/argon2';

/** argon2id with the OWASP minimum: 19 MiB, two passes, one lane (from memory). The library's default is argon2id. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashPassword = (password: string): Promise<string> => hash(password, COST);

const NOBODY = hashPassword('nobody has this password');

/** Takes as long for an unknown account as for a known one, so that timing tells nothing. */
export async function passwordMatches(stored: string | null | undefined, password: string): Promise<boolean> {
  const matches = await verify(stored ?? (await NOBODY), password);
  return stored ? matches : false;
}
