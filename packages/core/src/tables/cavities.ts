import type { ProfileId } from './profiles.js';

/** A cavity to begin with, by profile: common practice there. Board is the drawing’s to say, where it is usual at all. */
export const FIRST_CAVITY: Record<
  ProfileId,
  { inner: string; width: number | string; board?: number | string }
> = {
  us: { inner: 'cmu-8x8x16', width: '2"' },
  uk: { inner: 'block-440x215x100', width: 100, board: 50 },
  earth: { inner: 'cmu-8x8x16', width: '2"' },
};
