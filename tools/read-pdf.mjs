import { Buffer } from 'node:buffer';
// Prints the text of a PDF given on stdin, page by page: for tests that read back what was printed.
// A process of its own because the reader is an ES module and the tests are not.
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const parts = [];
for await (const part of process.stdin) parts.push(part);
const pdf = await getDocument({
  data: new Uint8Array(Buffer.concat(parts)),
  verbosity: 0,
  useSystemFonts: false,
}).promise;
/** Whether what comes next goes on where the last left off, as the parts of a fraction do. */
const goesOn = (a, b) =>
  Math.abs(b.transform[4] - a.transform[4] - a.width) < 0.12 * Math.max(a.height, b.height) &&
  Math.abs(b.transform[5] - a.transform[5]) < 0.6 * Math.max(a.height, b.height);
for (let n = 1; n <= pdf.numPages; n++) {
  const { items } = await (await pdf.getPage(n)).getTextContent();
  const words = items.filter((i) => i.str !== '' || i.hasEOL);
  console.log(
    words
      .map((item, i) => {
        const next = words[i + 1];
        if (next && goesOn(item, next)) return item.str;
        return item.str + (item.hasEOL ? '\n' : ' ');
      })
      .join('')
      .replace(/ {2,}/g, ' '),
  );
}
