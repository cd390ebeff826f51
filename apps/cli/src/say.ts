import { canonical, hear } from '@even-tally/core';
import { createWords, languageOf } from '@even-tally/words';
import { complain } from './reading.js';

const PROFILES = ['us', 'uk', 'earth'] as const;
type Profile = (typeof PROFILES)[number];
const isProfile = (text: string | undefined): text is Profile => PROFILES.some((p) => p === text);

/** Prints the job file a sentence comes to; exits 1 with a line for each thing that was not understood, 2 for a wrong call. */
export function say(args: string[]): number {
  const at = args.indexOf('--profile');
  const profile = at < 0 ? undefined : args[at + 1];
  const said = at < 0 ? args : [...args.slice(0, at), ...args.slice(at + 2)];
  if (at >= 0 && !isProfile(profile))
    return (complain([`Wanted --profile us, uk or earth, got "${profile ?? ''}".`]), 2);
  if (said.length !== 1)
    return (complain([`Wanted a wall in one line, in quotes, got ${said.length} of them.`]), 2);
  const [sentence = ''] = said;
  const heard = hear(sentence, { profile: profile as Profile | undefined });
  if (heard.document) {
    process.stdout.write(`${JSON.stringify(canonical(heard.document), null, 2)}\n`);
    return 0;
  }
  const words = createWords(languageOf(profile ?? 'us'), 'ft-in');
  complain(heard.phrases.filter((p) => !p.understood).map((p) => words.say(p.says)));
  return 1;
}
