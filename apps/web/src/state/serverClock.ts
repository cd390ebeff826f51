/** The server says the time by the second only, and an answer is on its way for some: less than this is no difference, ms. */
const SURE = 30_000;
let out = 0;

/** What the server's clock said as it answered: by how much this device's is out follows from that. */
export function heardTime(date: string | null): void {
  const said = date === null ? NaN : Date.parse(date);
  if (!Number.isFinite(said)) return;
  const by = said - Date.now();
  out = Math.abs(by) > SURE ? by : 0;
}

/** Now, by the server's clock where this device's is well out: what two phones count down to is the same moment. */
export const trueNow = (): number => Date.now() + out;
