import { wordsOf, createAssessor } from '@inch-tower/core';
import { AS_OF } from '../../core/src/testing/fixture';
import { loadDemoBuilds } from '../loadDemo';
import { REVIEWED } from './builds';
import { DEMO_VERDICTS } from './demoVerdicts';

/** What the program said otherwise when a build was first put to it, and what became of it. */
const FIRST_RUN: readonly (readonly [id: string, what: string])[] = [
  ['mini-and-usb-box', 'The mini computer was said to have nothing in it, since its board is built in. Mended.'],
  [
    'single-board',
    'A boot stick found no socket, since only inside ones counted, and the board with its soldered processor was reckoned at 20 W. Sticks go into outside sockets, the class draws what such boards draw, sticks draw what sticks draw. The weak bridge of the box was rightly said and not foreseen.',
  ],
  ['hot-under-a-low-cooler', 'Blocked: the low end of a typical processor was taken at 25 % instead of 35. Mended.'],
  ['small-supply-in-a-tower', 'Blocked by its form. SFX goes into an ATX bay with a plate, which is now a small part.'],
  [
    'raid-card, three-cards-in-a-tower, rack-with-a-long-card',
    'Cards were said to draw more than their slot gives by the high end of what is typical of their class. A card is made to its slot: its likely value counts.',
  ],
  [
    'rack-of-twenty-four, rack-with-a-long-card, expander-with-two-uplinks, fifteen-on-one-consumer-supply, a-ups-too-small',
    'The program said more than was written down: three chains of plugs for 24 starting disks are near what wires and pins carry, 5 V may be passed at the start, and disks made for boxes of eight stand 24 abreast. Right; the verdicts were completed.',
  ],
  [
    'more-disks-than-bays',
    'The only fix was to take two disks out, since neither a cage nor a card cures it alone. Both together are offered.',
  ],
  [
    'multiplier-on-a-plain-port, open-frame',
    'Small disks made to stand in ones or twos, and four of their starts on one plug, were rightly said and not foreseen.',
  ],
  [
    'a-card-for-the-picture',
    'Blocked: a low-profile card was held to 25 W in a slot of 16 lanes, and small graphics cards were given an edge of eight. A slot gives 75 W whatever the height of the card, and such cards have the long edge. Mended.',
  ],
  [
    'flash-behind-an-expander',
    'The wiring puts eight drives on the board’s own ports, which the verdict had not thought of: the card is a note, not a caution.',
  ],
  ['half-a-node', 'A machine with one drive was asked what it starts from. Mended.'],
  ['long-sfx', 'Blocked by its form: SFX-L has the face of SFX and is only longer. Mended.'],
  [
    'carrier-in-a-plain-slot',
    'Said that all six places for modules were taken, of which three have no lanes. The sentence counts those that have.',
  ],
  [
    'too-little-for-the-wish',
    'Before one disk more stood larger ones in place of all four: they cost less together and leave the bay free. Right while nothing is bought; of disks that are owned one more comes first.',
  ],
  [
    'u2-without-a-port',
    'A drive no port here speaks to, rather than a port too few: the better sentence. The verdict follows it.',
  ],
  [
    'fifteen-on-an-hba',
    'Blocked: the verdict had not looked at the supply, which has eight plugs on two cables. With splitters fifteen disks would be more than four on a cable.',
  ],
  [
    'hba-in-a-short-slot',
    'Blocked: a low card was held to 10 W in a slot of one lane, which gives a high one 25. A caution now.',
  ],
  ['sas-shelf-on-esata', 'A card with SAS outside in place of the eSATA card, rather than one more: the better way.'],
];

/** Each snag of the demo machines with what was said of it. */
const demoEntries = (): string[] =>
  loadDemoBuilds().flatMap((build) => {
    const { snags } = createAssessor().assess(build, AS_OF);
    return [
      `## ${build.name}`,
      '',
      ...snags.map(
        (snag) =>
          `- ${snag.severity}: ${wordsOf(snag).what} *${DEMO_VERDICTS[build.id]?.[snag.code] ?? 'Not read yet.'}*`,
      ),
      ...(snags.length ? [] : ['Nothing is said.']),
      '',
    ];
  });

/** The page of reviewed builds, with what is said of each today. */
export function reviewedPage(): string {
  const entries = REVIEWED.map(({ what, made, verdict, id }) => {
    const { build } = made();
    const said = createAssessor()
      .assess(build, AS_OF)
      .snags.filter(({ severity }) => severity !== 'note')
      .map((snag) => `- ${snag.severity}: ${wordsOf(snag).what}`);
    const kit = build.items.map(({ sheet, units }) =>
      units.length > 1 ? `${units.length} × ${build.sheets[sheet]!.name}` : build.sheets[sheet]!.name,
    );
    return [
      `## ${what}`,
      '',
      `\`${id}\`: ${kit.join(', ')}.`,
      '',
      verdict,
      '',
      ...(said.length ? said : ['Nothing is said.']),
      '',
    ];
  });
  return [
    '# Reviewed builds',
    '',
    'Machines as builders make them, each with what a knowledgeable builder says of it, written down before it was first put to the',
    'program (`demo/reviewed/builds.ts`; each is a test). Made by `npm run docs`.',
    '',
    '## What differed at the first run',
    '',
    ...FIRST_RUN.map(([id, words]) => `- **${id}**: ${words}`),
    '',
    ...entries.flat(),
    '# The demo machines',
    '',
    'Every snag of them, read one by one (`demo/reviewed/demoVerdicts.ts`).',
    '',
    ...demoEntries(),
  ].join('\n');
}
