import { cube, tweak, type Fixture } from '../testing/fixture';

type Link = { readonly gbPerS: number; readonly count: number; readonly lengthM?: number };
const on = (card: string, links: readonly Link[], medium?: 'copper' | 'cage'): readonly string[] => {
  const ports = [{ key: 'net', gbPerS: card === 'skein-25' ? 25 : 10, count: 2, ...(medium ? { medium } : {}) }];
  const from = tweak(card, { networkPorts: ports });
  const made: Fixture = cube(from).add(card);
  return made
    .set({ site: { ...made.build.site, links: [...links] } })
    .assess()
    .small.filter(({ use }) => use === 'networkCable' || use === 'transceiver')
    .map(({ what, count, typicalMinor }) => `${count} × ${what}: ${typicalMinor}`);
};

test('copper by its length; nothing said of it costs what is usual', () => {
  expect(on('skein-10x2', [{ gbPerS: 10, count: 2 }])).toEqual(['2 × Network cable, 10 Gb/s: 600']);
  expect(on('skein-10x2', [{ gbPerS: 10, count: 1, lengthM: 20 }])).toEqual(['1 × Network cable, 10 Gb/s, 20 m: 1100']);
});

test('a cage takes a direct cable up to 7 m, past that a fibre with a module at either end', () => {
  expect(on('skein-25', [{ gbPerS: 25, count: 2, lengthM: 3 }])).toEqual([
    '2 × Direct-attach cable, 25 Gb/s, 3 m: 3000',
  ]);
  expect(on('skein-25', [{ gbPerS: 25, count: 2, lengthM: 20 }])).toEqual([
    '2 × Fibre cable, 25 Gb/s, 20 m: 1800',
    '4 × Transceiver, 25 Gb/s: 4000',
  ]);
  // A card of 10 Gb/s whose sheet says that its ports are cages.
  expect(on('skein-10x2', [{ gbPerS: 10, count: 1, lengthM: 20 }], 'cage')).toEqual([
    '1 × Fibre cable, 10 Gb/s, 20 m: 1800',
    '2 × Transceiver, 10 Gb/s: 2000',
  ]);
});

test('links of two speeds take the ports that suit them', () => {
  const wants = on('skein-25', [
    { gbPerS: 1, count: 1 },
    { gbPerS: 25, count: 1 },
  ]);
  expect(wants).toEqual(['1 × Direct-attach cable, 25 Gb/s: 2500', '1 × Network cable, 1 Gb/s: 600']);
});
