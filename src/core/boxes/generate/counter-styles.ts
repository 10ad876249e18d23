/** Counter values as text, in the styles of CSS Counter Styles. @spec css-counter-styles-3 §6 */
export function counterText(value: number, style: string): string {
  const symbol = BULLETS[style];
  if (symbol !== undefined) return symbol;
  if (style === 'none') return '';
  const letters = ALPHABETS[style];
  if (letters) return alphabetic(value, [...letters]) ?? String(value);
  const digits = DIGITS[style];
  if (digits) return [...String(value)].map((d) => [...digits][Number(d)] ?? d).join('');
  const additive = ADDITIVE[style];
  if (additive) return sums(value, additive) ?? String(value);
  if (style === 'decimal-leading-zero') {
    const text = String(Math.abs(value)).padStart(2, '0');
    return value < 0 ? `-${text}` : text;
  }
  return String(value);
}

export const BULLETS: Readonly<Record<string, string>> = {
  disc: '\u2022',
  circle: '\u25e6',
  square: '\u25aa',
  'disclosure-closed': '\u25b8',
  'disclosure-open': '\u25be',
};

const LATIN = 'abcdefghijklmnopqrstuvwxyz';
const ALPHABETS: Readonly<Record<string, string>> = {
  'lower-alpha': LATIN,
  'lower-latin': LATIN,
  'upper-alpha': LATIN.toUpperCase(),
  'upper-latin': LATIN.toUpperCase(),
  'lower-greek': 'αβγδεζηθικλμνξοπρστυφχψω',
  hiragana: 'あいうえおかきくけこさしすせそたちつてとなにぬねのはひふへほまみむめもやゆよらりるれろわゐゑをん',
  katakana: 'アイウエオカキクケコサシスセソタチツテトナニヌネノハヒフヘホマミムメモヤユヨラリルレロワヰヱヲン',
};

const DIGITS: Readonly<Record<string, string>> = {
  'arabic-indic': '٠١٢٣٤٥٦٧٨٩',
  persian: '۰۱۲۳۴۵۶۷۸۹',
  devanagari: '०१२३४५६७८९',
  bengali: '০১২৩৪৫৬৭৮৯',
  thai: '๐๑๒๓๔๕๖๗๘๙',
};

function alphabetic(value: number, letters: readonly string[]): string | null {
  if (value < 1) return null;
  let text = '';
  for (let n = value; n > 0; n = Math.floor((n - 1) / letters.length)) text = letters[(n - 1) % letters.length]! + text;
  return text;
}

interface Additive {
  readonly most: number;
  readonly weights: readonly number[];
  readonly symbols: readonly string[];
}

const ROMAN = { most: 3999, weights: [1000, 900, 500, 400, 100, 90, 50, 40, 10, 9, 5, 4, 1] };
const ROMAN_SYMBOLS = ['M', 'CM', 'D', 'CD', 'C', 'XC', 'L', 'XL', 'X', 'IX', 'V', 'IV', 'I'];
const ARMENIAN: Additive = {
  most: 9999,
  weights: [
    9000, 8000, 7000, 6000, 5000, 4000, 3000, 2000, 1000, 900, 800, 700, 600, 500, 400, 300, 200, 100, 90, 80, 70, 60,
    50, 40, 30, 20, 10, 9, 8, 7, 6, 5, 4, 3, 2, 1,
  ],
  symbols: [
    'Ք',
    'Փ',
    'Ւ',
    'Ց',
    'Ր',
    'Տ',
    'Վ',
    'Ս',
    'Ռ',
    'Ջ',
    'Պ',
    'Չ',
    'Ո',
    'Շ',
    'Ն',
    'Յ',
    'Մ',
    'Ճ',
    'Ղ',
    'Ձ',
    'Հ',
    'Կ',
    'Ծ',
    'Խ',
    'Լ',
    'Ի',
    'Ժ',
    'Թ',
    'Ը',
    'Է',
    'Զ',
    'Ե',
    'Դ',
    'Գ',
    'Բ',
    'Ա',
  ],
};

const ADDITIVE: Readonly<Record<string, Additive>> = {
  'upper-roman': { ...ROMAN, symbols: ROMAN_SYMBOLS },
  'lower-roman': { ...ROMAN, symbols: ROMAN_SYMBOLS.map((s) => s.toLowerCase()) },
  armenian: ARMENIAN,
  'upper-armenian': ARMENIAN,
  'lower-armenian': { ...ARMENIAN, symbols: ARMENIAN.symbols.map((s) => s.toLowerCase()) },
  georgian: {
    most: 19999,
    weights: [
      10000, 9000, 8000, 7000, 6000, 5000, 4000, 3000, 2000, 1000, 900, 800, 700, 600, 500, 400, 300, 200, 100, 90, 80,
      70, 60, 50, 40, 30, 20, 10, 9, 8, 7, 6, 5, 4, 3, 2, 1,
    ],
    symbols: [
      'ჵ',
      'ჰ',
      'ჯ',
      'ჴ',
      'ხ',
      'ჭ',
      'წ',
      'ძ',
      'ც',
      'ჩ',
      'შ',
      'ყ',
      'ღ',
      'ქ',
      'ფ',
      'ჳ',
      'ტ',
      'ს',
      'რ',
      'ჟ',
      'პ',
      'ო',
      'ჲ',
      'ნ',
      'მ',
      'ლ',
      'კ',
      'ი',
      'თ',
      'ჱ',
      'ზ',
      'ვ',
      'ე',
      'დ',
      'გ',
      'ბ',
      'ა',
    ],
  },
  hebrew: {
    most: 10999,
    weights: [
      10000, 9000, 8000, 7000, 6000, 5000, 4000, 3000, 2000, 1000, 400, 300, 200, 100, 90, 80, 70, 60, 50, 40, 30, 20,
      19, 18, 17, 16, 15, 10, 9, 8, 7, 6, 5, 4, 3, 2, 1,
    ],
    symbols: [
      'י׳',
      'ט׳',
      'ח׳',
      'ז׳',
      'ו׳',
      'ה׳',
      'ד׳',
      'ג׳',
      'ב׳',
      'א׳',
      'ת',
      'ש',
      'ר',
      'ק',
      'צ',
      'פ',
      'ע',
      'ס',
      'נ',
      'מ',
      'ל',
      'כ',
      'יט',
      'יח',
      'יז',
      'טז',
      'טו',
      'י',
      'ט',
      'ח',
      'ז',
      'ו',
      'ה',
      'ד',
      'ג',
      'ב',
      'א',
    ],
  },
};

function sums(value: number, { most, weights, symbols }: Additive): string | null {
  if (value < 1 || value > most || symbols.length !== weights.length) return null;
  let text = '';
  let rest = value;
  weights.forEach((weight, i) => {
    while (rest >= weight) {
      text += symbols[i]!;
      rest -= weight;
    }
  });
  return text;
}
