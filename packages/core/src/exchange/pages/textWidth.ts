import { partsOf } from './fractions.js';

/**
 * Advance widths of DejaVu Sans Condensed, thousandths of an em, read from the font that is printed with (dejavu-fonts-ttf 2.37):
 * a page is laid out before it is known who draws it.
 */
const PLAIN: readonly [number, string][] = [
  [150, '⁄'],
  [204, '′'],
  [247, "'"],
  [250, 'ijlìíîïĩīĭįıĵĺļ'],
  [255, 'ł'],
  [265, 'IJÌÍÎÏĨĪĬĮİĴ'],
  [286, ' ,.\u00a0·‘’'],
  [303, '/:;\\|¦'],
  [308, 'ŀ'],
  [316, 'fſ'],
  [325, '-\u00ad'],
  [336, '″'],
  [337, 'ľ'],
  [351, '()[]'],
  [353, 'tţťŧ'],
  [360, '!¡²³¹'],
  [370, 'rŕŗř'],
  [414, '"'],
  [424, 'ªº'],
  [450, '*_`§¨¯°´¸–'],
  [466, '“”'],
  [469, 'sśŝşš'],
  [472, 'zźżž'],
  [478, '?¿'],
  [495, 'cçćĉċč'],
  [500, 'ĳ'],
  [501, 'LĹĻĽĿ'],
  [505, 'Ł'],
  [518, 'F'],
  [521, 'kķĸ'],
  [531, 'Ĳ'],
  [532, 'vxyýÿŷ'],
  [542, 'P'],
  [544, 'Þ'],
  [549, 'TYÝŢŤŦŶŸ'],
  [550, 'o«»ðòóôõöøōŏő'],
  [551, 'aàáâãäåāăą'],
  [554, 'eèéêëēĕėęě'],
  [567, 'ß'],
  [568, 'EÈÉÊËĒĔĖĘĚ'],
  [570, 'hnuñùúûüĥńņňŋũūŭůűų'],
  [571, 'SbdgpqþďđĝğġģŚŜŞŠ'],
  [572, '$0123456789{}¢£¤¥µ¶'],
  [590, 'KĶ'],
  [615, 'AVÀÁÂÃÄÅĀĂĄ'],
  [616, 'XZŹŻŽ'],
  [617, 'B'],
  [625, 'RħŔŖŘ'],
  [628, 'CÇĆĈĊČ'],
  [659, 'UÙÚÛÜŨŪŬŮŰŲ'],
  [673, 'NÑŃŅŇŊ'],
  [677, 'HĤ'],
  [693, 'DĎ'],
  [697, 'GÐĐĜĞĠĢ'],
  [702, '&'],
  [708, 'OQÒÓÔÕÖØŌŎŐ'],
  [732, 'ŉ'],
  [736, 'wŵ'],
  [754, '#+<=>^~¬±×÷−≤≥→'],
  [776, 'M'],
  [807, '☐'],
  [824, 'Ħ'],
  [855, '%'],
  [872, '¼½¾⅛'],
  [876, 'mÆ'],
  [883, 'æ'],
  [890, 'WŴ'],
  [900, '@©®—…'],
  [920, 'œ'],
  [962, 'Œ'],
];

const BOLD: readonly [number, string][] = [
  [150, '⁄'],
  [237, '′'],
  [275, "'"],
  [308, 'ijlìíîïĩīĭįıĵĺļ'],
  [313, ' \u00a0'],
  [329, '/\\|¦'],
  [334, 'IJÌÍÎÏĨĪĬĮİĴł'],
  [342, ',.·‘’'],
  [360, ':;'],
  [374, '-\u00ad'],
  [391, 'fſ'],
  [394, '²³¹'],
  [402, '″'],
  [410, '!¡'],
  [411, '()[]'],
  [430, 'tţťŧ'],
  [431, 'ľ'],
  [444, 'rŕŗř'],
  [450, '_`§¨¯°´¸–'],
  [469, '"'],
  [470, '*'],
  [501, 'ŀ'],
  [507, 'ªº'],
  [522, '?¿'],
  [523, 'zźżž'],
  [533, 'cçćĉċč'],
  [536, 'sśŝşš'],
  [572, '¤¶'],
  [573, 'LĹĻĽĿ'],
  [578, 'Ł'],
  [580, 'x'],
  [581, '«»'],
  [586, 'vyýÿŷ'],
  [591, '“”'],
  [598, 'kķĸ'],
  [607, 'aàáâãäåāăą'],
  [610, 'eèéêëēĕėęě'],
  [614, 'TŢŤŦ'],
  [615, 'EFÈÉÊËĒĔĖĘĚ'],
  [617, 'ĳ'],
  [618, 'oðòóôõöøōŏő'],
  [626, '$0123456789¢£¥'],
  [641, 'hnu{}ñùúûüĥńņňŋũūŭůűų'],
  [644, 'bdgpqþďđĝğġģ'],
  [647, 'ß'],
  [648, 'SŚŜŞŠ'],
  [651, 'YÝŶŸ'],
  [652, 'ZŹŻŽ'],
  [659, 'P'],
  [660, 'CÇĆĈĊČ'],
  [662, 'µ'],
  [664, 'Þ'],
  [669, 'Ĳ'],
  [686, 'B'],
  [693, 'RŔŖŘ'],
  [694, 'X'],
  [696, 'AVÀÁÂÃÄÅĀĂĄ'],
  [697, 'KĶ'],
  [711, 'ħ'],
  [730, 'UÙÚÛÜŨŪŬŮŰŲ'],
  [738, 'GĜĞĠĢ'],
  [747, 'DĎ'],
  [753, 'HNÑĤŃŅŇŊ'],
  [754, '#+<=>^~¬±Ð×÷Đ−≤≥→'],
  [765, 'OQÒÓÔÕÖØŌŎŐ'],
  [785, '&'],
  [807, '☐'],
  [831, 'wŵ'],
  [876, 'Ħ'],
  [884, 'ŉ'],
  [896, 'M'],
  [900, '@©®—…'],
  [901, '%'],
  [932, '¼½¾⅛'],
  [938, 'm'],
  [943, 'æ'],
  [976, 'Æ'],
  [984, 'œ'],
  [993, 'WŴ'],
  [1050, 'Œ'],
];

const byCharacter = (rows: readonly [number, string][]): Map<string, number> =>
  new Map(rows.flatMap(([width, characters]) => [...characters].map((c) => [c, width] as const)));

const FACES = { plain: byCharacter(PLAIN), bold: byCharacter(BOLD) };

/** What is in neither list is taken as wide as an M. */
const UNKNOWN = 776;

/** Width of a line of words, in the measure `size` is in. */
export function textWidth(text: string, size: number, bold = false): number {
  const face = bold ? FACES.bold : FACES.plain;
  let sum = 0;
  for (const part of partsOf(text)) for (const c of part.text) sum += (face.get(c) ?? UNKNOWN) * part.size;
  return (sum * size) / 1000;
}

/** Words broken into lines no wider than `wide`; a word that is wider stands on a line of its own. */
export function wrapped(text: string, wide: number, size: number, bold = false): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (line !== '' && textWidth(longer, size, bold) > wide) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}

/** A line cut to what fits, with an ellipsis where something is left out. */
export function fitted(text: string, wide: number, size: number, bold = false): string {
  if (textWidth(text, size, bold) <= wide) return text;
  let cut = [...text];
  while (cut.length > 0 && textWidth(`${cut.join('')}…`, size, bold) > wide) cut = cut.slice(0, -1);
  return `${cut.join('').trimEnd()}…`;
}
