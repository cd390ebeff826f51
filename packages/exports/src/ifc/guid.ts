const DIGITS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz_$';

/** 32 bits of a name (FNV-1a), begun anywhere. */
function hash(text: string, seed: number): number {
  let h = (0x811c9dc5 ^ seed) >>> 0;
  for (let i = 0; i < text.length; i++) {
    h ^= text.charCodeAt(i);
    h = Math.imul(h, 0x01000193) >>> 0;
  }
  // The last letters of a name are stirred through all the bits.
  h ^= h >>> 16;
  h = Math.imul(h, 0x85ebca6b) >>> 0;
  h ^= h >>> 13;
  return h >>> 0;
}

/** The 22 letters by which a model knows a thing: the same for the same thing every time it is exported. */
export function ifcGuid(name: string): string {
  let bits = 0n;
  for (let i = 0; i < 4; i++) bits = (bits << 32n) | BigInt(hash(name, Math.imul(i + 1, 0x9e3779b9)));
  let out = '';
  for (let i = 0; i < 22; i++) {
    // 128 bits are 21 letters of six and a first of two.
    out = DIGITS.charAt(Number(bits & 63n)) + out;
    bits >>= 6n;
  }
  return out;
}
