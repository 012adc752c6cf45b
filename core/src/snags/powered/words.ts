import type { FindingOf, Sized } from '../finding';
import type { PlugKind } from '../../parts/vocabulary';
import { plugsWord, plugWord } from '../../plugs/words';
import { round, n, type WordsOf } from '../wording';

/** On which rail, and whether at the start of the drives or while they work. */
type OnRail = { rail: string; start: string };

/** What each rule says besides its gap. */
export type PoweredFacts = {
  'powered.plugs': Sized<{
    plug: PlugKind;
    need: number;
    have: number;
    supply: string;
    short: number;
    overload: string;
  }>;
  'powered.total': Sized<{ supply: string; start: string }>;
  'powered.oneGone': Sized<{ supply: string; modules: number }>;
  'powered.start12V': Sized<{ supply: string; drives: number }>;
  'powered.inTurn': { count: number; of: number; part: string; says: 'no' | 'unknown' };
  'powered.plugLoad': Sized<OnRail & { host: string; drives: number; plug: PlugKind }>;
  'powered.splitters': Sized<OnRail & { drives: number; splitters: number }>;
  'powered.wires': Sized<OnRail & { supply: string; drives: number; cables: number }>;
  'powered.drop': Sized<{ supply: string; start: string }>;
  'powered.manyOnACable': Sized<{ supply: string }>;
  'powered.rails': Sized<{ supply: string; rail: string; when: string }>;
  'powered.unstarted': { supply: string; first: string };
  'powered.fans': Sized<{ fans: number; fan: string; of: string; isHub: string }>;
  'powered.fanSteer': { count: number; fan: string; board: string };
  'powered.slot': Sized<{ card: string; slot: string }>;
  'powered.brick': { brick: string; board: string; plug: string; jack: string };
  'powered.ups': Sized<{ ups: string; unit: string; shared: string; dealt: string }>;
  'powered.waveform': { ups: string; supply: string };
  'powered.outlets': Sized<{ ups: string }>;
  'powered.besideUps': { name: string; drives: number; host: string };
};

/** Of the supply a box came with, where the likely load is within it. */
const OWN_SUPPLY = 'It came with the box and should carry full bays; thirsty drives come near it.';

export const POWERED_WORDS: WordsOf<PoweredFacts> = {
  'powered.plugs': {
    title: 'A plug for every part',
    what: (f, s) =>
      `${plugsWord(f.plug)}: ${s.gap.limit} wanted, ${f.supply} has ` +
      `${s.gap.have}.` +
      (s.severity === 'caution'
        ? ` Splitters are needed${f.overload ? ', and may carry more than they should' : ''}.`
        : f.overload
          ? ' Splitters would carry more than they may.'
          : ''),
    why: 'A part without power is dead weight; every splitter is one more contact to fail.',
  },
  'powered.total': {
    title: 'Everything at its most together',
    what: (f, s) =>
      `${f.start ? 'While the drives start' : 'At their most'} the parts ` +
      `${s.severity === 'blocker' ? 'draw' : 'may draw'} ` +
      `${Math.round(s.severity === 'blocker' ? s.gap.have : s.gap.hi!)} W; ${f.supply} gives ` +
      `${round(s.gap.limit)} W.`,
    why: 'The supply shuts down under load.',
    whyNote: OWN_SUPPLY,
  },
  'powered.oneGone': {
    title: 'One module gone',
    what: (f, s) =>
      `${s.gap.unit === 'W' ? 'At their most the parts' : 'At the start the drives'} take about ` +
      `${s.gap.unit === 'W' ? Math.round(s.gap.have) : s.gap.have.toFixed(1)} ${s.gap.unit}; ` +
      `with one of ${f.modules} modules gone ${f.supply} gives ${round(s.gap.limit)} ${s.gap.unit}.`,
    why: 'Past that it is not redundant: the module that fails takes the machine with it.',
  },
  'powered.start12V': {
    title: '12 V at the start of all drives',
    what: (f, s) =>
      `Starting ${n(f.drives, 'drive')} together ` +
      `${s.severity === 'blocker' ? 'takes' : 'may take'} ` +
      `${(s.severity === 'blocker' ? s.gap.have : (s.gap.hi ?? s.gap.have)).toFixed(1)} A ` +
      `on 12 V; ${f.supply} gives ${round(s.gap.limit)} A.`,
    why: 'The supply cuts out at power-on, or drives drop from the pool.',
    whyNote: OWN_SUPPLY,
  },
  'powered.inTurn': {
    title: 'Drives that do not wait',
    what: (f) =>
      `Waves are set; ${f.count} of ${n(f.of, 'drive')} ${f.count === 1 ? 'counts' : 'count'} as starting at once: ` +
      `${f.part} ${f.says === 'no' ? 'cannot start drives in turn' : 'does not say that it starts drives in turn'}.`,
    why: 'All start together, and the supply must carry it.',
  },
  'powered.plugLoad': {
    title: 'What one plug carries',
    what: (f, s) =>
      `${n(f.drives, 'drive')} of ${f.host} ${f.drives === 1 ? 'hangs' : 'hang'} on one ` +
      `${plugWord(f.plug)} plug: ` +
      `${takes(f, s)}; it carries ${round(s.gap.limit)} A.`,
    why: 'It gets hot and burns.',
  },
  'powered.splitters': {
    title: 'What splitters carry',
    what: (f, s) =>
      `At best ${f.splitters > 1 ? `${f.splitters} splitters` : 'one splitter'} ` +
      `${f.splitters > 1 ? 'feed up to' : 'feeds'} ${f.drives > 0 ? n(f.drives, 'drive') : 'parts'}` +
      `${f.splitters > 1 ? ' each' : ''}: ${takes(f, s)}; a splitter carries ${round(s.gap.limit)} A.`,
    why: 'A splitter past its rating melts at its plug.',
  },
  'powered.wires': {
    title: 'What a cable of the supply carries',
    what: (f, s) =>
      `At best ${f.cables > 1 ? `${f.cables} cables` : 'one cable'} of ${f.supply} ` +
      `${f.cables > 1 ? 'feed up to' : 'feeds'} ${f.drives > 0 ? n(f.drives, 'drive') : 'parts'}` +
      `${f.cables > 1 ? ' each' : ''}: ${takes(f, s)}; a cable carries ${round(s.gap.limit)} A.`,
    why: 'Its wire and pin get hot; contacts burn.',
  },
  'powered.drop': {
    title: 'Volts lost on a cable',
    what: (f, s) =>
      `${f.start ? 'While the drives start' : 'At work'} about ${s.gap.have.toFixed(1)} % is lost on the way to ` +
      `the last plug of a cable of ${f.supply}; ${round(s.gap.limit)} % is good practice.`,
    why: 'Drives at its end see too few volts and drop out.',
  },
  'powered.manyOnACable': {
    title: 'Disks on one cable',
    what: (f, s) =>
      `${s.gap.have} spinning disks hang on one cable of ${f.supply}; good practice is ${s.gap.limit} at most.`,
    why: 'Its first plugs carry the current of all that follow.',
  },
  'powered.rails': {
    title: 'Rails of the supply',
    what: (f, s) =>
      `${f.when} the parts ${s.severity === 'blocker' ? 'take' : 'may take'} ` +
      `${(s.severity === 'blocker' ? s.gap.have : s.gap.hi!).toFixed(1)} ${s.gap.unit} on ${f.rail}; ` +
      `${f.supply} gives ${round(s.gap.limit)} ${s.gap.unit}.`,
    why: 'The supply shuts down, or the voltage sags and drives drop out.',
  },
  'powered.unstarted': {
    title: 'What switches a second supply on',
    what: (f) =>
      `No board is on the main plug of ${f.supply}; a lead that joins it to that of ${f.first} starts both together.`,
    why: 'Without one nothing switches it on, and what hangs on it stays dark.',
  },
  'powered.fans': {
    title: 'What a fan header carries',
    what: (f, s) =>
      `${f.fans > 1 ? `At best ${f.fans} fans, ${f.fan} among them, hang` : `${f.fan} hangs`} on ` +
      `${f.isHub ? '' : 'one header of '}${f.of}: ${s.severity === 'blocker' ? '' : 'about '}` +
      `${s.gap.have.toFixed(1)} A; it carries ${round(s.gap.limit)} A.`,
    why: 'The header or its trace on the board burns.',
  },
  'powered.fanSteer': {
    title: 'Fans that nothing slows',
    what: (f) =>
      `${f.count > 1 ? `${f.count} × ${f.fan} have` : `${f.fan} has`} no PWM wire, and ${f.board} steers fans by ` +
      'nothing else.',
    why: 'They always turn at full speed, as the noise here is reckoned.',
  },
  'powered.slot': {
    title: 'Watts from a slot',
    what: (f, s) =>
      `${f.card} ${s.severity === 'blocker' ? 'draws' : 'may draw'} ` +
      `${round(s.gap.have)} W from ${f.slot}; it may take ` +
      `${s.gap.limit} W there, and has no plug.`,
    why: 'The board shuts down, or its traces get hot.',
  },
  'powered.brick': {
    title: 'Brick and jack',
    what: (f, s) =>
      s.gap
        ? `${f.brick} gives ${round(s.gap.have)} V; ${f.board} ${s.severity === 'blocker' ? '' : 'probably '}takes ` +
          `${s.gap.have < s.gap.limit ? 'at least' : 'at most'} ${round(s.gap.limit)} V.`
        : `${f.brick} has a plug of ${f.plug}; the jack of ${f.board} is ${f.jack}.`,
    why: 'Too many volts destroy the board, too few do not start it; a wrong plug makes no contact.',
  },
  'powered.ups': {
    title: 'What the UPS carries',
    what: (f, s) =>
      `At its peak ${f.dealt ? 'what hangs on it at best' : 'the machine'}` +
      `${f.shared ? ', with what shares its UPS,' : ''} ` +
      (s.severity === 'note'
        ? `takes about ${Math.round(s.gap.have)} of the ${round(s.gap.limit)} ${f.unit} of ${f.ups}: little is left.`
        : `${s.severity === 'blocker' ? 'takes' : 'may take'} ` +
          `${Math.round(s.severity === 'blocker' ? s.gap.have : s.gap.hi!)} ${f.unit}; ` +
          `${f.ups} gives ${round(s.gap.limit)} ${f.unit}.`),
    why: 'Past that it drops the load at the very moment it is there for.',
  },
  'powered.waveform': {
    title: 'What a UPS gives from its battery',
    what: (f) => `${f.ups} gives steps from its battery; ${f.supply} corrects its power factor and wants a sine.`,
    why: 'At the changeover such a supply may switch off, and the UPS was for nothing.',
  },
  'powered.outlets': {
    title: 'Outlets of the UPS',
    what: (f, s) => `${n(s.gap.have, 'mains plug')} here, and ${f.ups} has ${n(s.gap.limit, 'outlet')}.`,
    why: 'What is plugged in elsewhere goes off with the mains.',
  },
  'powered.besideUps': {
    title: 'In the wall beside a UPS',
    what: (f) =>
      f.host
        ? `${f.name} feeds the machine and is in the wall, not on the UPS.`
        : `${f.name} feeds ${n(f.drives, 'drive')} and is in the wall, while the machine is on a UPS.`,
    why: 'It goes off with the mains: the machine with what it was writing, or drives out of a pool that runs on.',
  },
};

/** What is taken on a rail, in words: certain, or at its most. */
const takes = (f: OnRail, s: Pick<FindingOf<Sized<OnRail>>, 'severity' | 'gap'>): string =>
  `${f.start ? 'starting together' : 'at work'} they ${s.severity === 'blocker' ? 'take' : 'may take'} ` +
  `${s.gap.have.toFixed(1)} A on ${f.rail}`;
