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
for (let n = 1; n <= pdf.numPages; n++) {
  const { items } = await (await pdf.getPage(n)).getTextContent();
  console.log(items.map((i) => i.str + (i.hasEOL ? '\n' : ' ')).join(''));
}
