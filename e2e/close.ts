/** After the last journey. */
export default async function close(): Promise<void> {
  await (globalThis as { closeSite?: () => Promise<void> }).closeSite?.();
}
