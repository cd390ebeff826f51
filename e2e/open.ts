import { openSite } from './site';

/** Before the first journey; what closes the site again waits for the last. */
export default async function open(): Promise<void> {
  (globalThis as { closeSite?: () => Promise<void> }).closeSite = await openSite();
}
