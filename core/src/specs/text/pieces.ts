/** A piece of a line: words between commas, under the label of its line. */
export type Piece = {
  readonly label: string;
  readonly value: string;
  readonly line: number;
  readonly text: string;
  /** The head of the list it stands in, where its line has a label of its own. */ readonly under?: string;
};

const LABEL = new RegExp(
  String.raw`^(?:[•*·–-]\s*)?([^\t:|]{2,60}?)` +
    String.raw`(?:\t+|\s*\|\s*|\s*(?:\.{3,}|…+)\s*|:\s+|:$|\s=\s|\s{2,}|\s[–-]\s)(.*)$`,
);
/** What lists and values are told of, in a line of its own: a head, though no sheet has a field of that name. */
const OF = [
  '(?:drive |hdd |internal |external )?bays?|(?:pcie? |expansion |memory |dimm )?slots?|fans?|cooling',
  '(?:sata |usb )?ports?',
  'storage|memory|lan|network|(?:mother|main)boards?|boards?|power suppl(?:y|ies)|psu|connectors?|cables?|plugs?',
  'expansion|m\\.2(?: sockets| slots)?|s-?ata|backplane|(?:cpu )?cooler|(?:graphics )?cards?|gpu|drives?|outputs?',
  'power|clearances?|networking|ethernet|netzwerk|lüfter',
].join('|');
const ABOUT = '(?:height|length|depth|size|support|compatibility|form factor|included|clearance|type)';
export const HEAD_WORDS = new RegExp(
  `^(?:(?:max(?:imum|\\.)?|supported|compatible|pre-?installed|number of) )?(?:${OF})(?: ${ABOUT})?$`,
  'i',
);

const FIGURES = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];
const IN_WORDS = new RegExp(String.raw`\b(${FIGURES.join('|')})\b(?=\s)`, 'gi');
/** `four 3.5-inch`: numbers in words as figures. */
const inFigures = (piece: string): string =>
  piece.replace(IN_WORDS, (word) => String(FIGURES.indexOf(word.toLowerCase()) + 1));

/** The pieces of all lines; what stands under a label that has nothing behind it has that label. */
export function piecesOf(lines: readonly string[]): Piece[] {
  let under = '';
  return lines.flatMap((line, i): Piece[] => {
    if (line === '') {
      under = '';
      return [];
    }
    if (HEAD_WORDS.test(line)) {
      under = line;
      return [];
    }
    const pair = LABEL.exec(line);
    const head = under;
    const [label, value] = pair ? [pair[1]!, pair[2]!] : [under, line];
    if (pair && value === '') under = label;
    else if (pair && !HEAD_WORDS.test(under)) under = '';
    return value
      .split(/[;|]|\t+|,(?!\d)|\.\s+(?=[A-Z\d])|(?<=\d\s?mm) and (?=[^,;]*\d\s?mm)/)
      .map((piece) => inFigures(piece.replace(/^[•*·–-]\s+/, '').trim()))
      .filter((piece) => piece !== '')
      .map((piece) => ({ label, value: piece, line: i + 1, text: line, ...(pair && head ? { under: head } : {}) }));
  });
}
