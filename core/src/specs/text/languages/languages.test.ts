import { SAMPLES } from '../../../testing/specTexts/all';
import { scoreSamples } from '../../../testing/specTexts/score';
import { relabelled } from '../../../testing/specTexts/relabelled';

/** English labels, then as pages in each language have them. */
const LABELS: readonly (readonly [english: string, ...others: string[]])[] = [
  ['Capacity', 'Kapazität', 'Capacité', 'Capacidad', 'Capacità', 'Capaciteit'],
  ['Interface', 'Schnittstelle', 'Interface', 'Interfaz', 'Interfaccia', 'Interface'],
  ['Form factor', 'Formfaktor', 'Facteur de forme', 'Factor de forma', 'Fattore di forma', 'Vormfactor'],
  ['Weight', 'Gewicht', 'Poids', 'Peso', 'Peso', 'Gewicht'],
  ['Height', 'Höhe', 'Hauteur', 'Altura', 'Altezza', 'Hoogte'],
  ['Width', 'Breite', 'Largeur', 'Anchura', 'Larghezza', 'Breedte'],
  ['Depth', 'Tiefe', 'Profondeur', 'Profundidad', 'Profondità', 'Diepte'],
  ['Length', 'Länge', 'Longueur', 'Longitud', 'Lunghezza', 'Lengte'],
  ['Dimensions', 'Abmessungen', 'Dimensions', 'Dimensiones', 'Dimensioni', 'Afmetingen'],
  ['Socket', 'Sockel', 'Socket', 'Zócalo', 'Socket', 'Socket'],
  ['Sockets', 'Sockel', 'Sockets', 'Zócalos', 'Socket', 'Sockets'],
  ['Memory', 'Arbeitsspeicher', 'Mémoire', 'Memoria', 'Memoria', 'Geheugen'],
  ['Cores', 'Kerne', 'Cœurs', 'Núcleos', 'Core', 'Kernen'],
  ['Threads', 'Threads', 'Threads', 'Hilos', 'Thread', 'Threads'],
  ['Power', 'Leistung', 'Puissance', 'Potencia', 'Potenza', 'Vermogen'],
  ['Power consumption', 'Leistungsaufnahme', 'Consommation', 'Consumo', 'Consumo', 'Stroomverbruik'],
  [
    'Idle power',
    'Leistungsaufnahme im Leerlauf',
    'Consommation au repos',
    'Consumo en reposo',
    'Consumo a riposo',
    'Verbruik in rust',
  ],
  [
    'Operating power',
    'Leistungsaufnahme im Betrieb',
    'Consommation en fonctionnement',
    'Consumo en funcionamiento',
    'Consumo in funzione',
    'Verbruik in bedrijf',
  ],
  ['Efficiency', 'Wirkungsgrad', 'Rendement', 'Eficiencia', 'Efficienza', 'Rendement'],
  ['Battery', 'Akku', 'Batterie', 'Batería', 'Batteria', 'Accu'],
  ['Outlets', 'Steckdosen', 'Prises', 'Tomas', 'Prese', 'Stopcontacten'],
  ['Waveform', 'Wellenform', 'Forme d’onde', 'Forma de onda', 'Forma d’onda', 'Golfvorm'],
  ['Speed', 'Drehzahl', 'Vitesse', 'Velocidad', 'Velocità', 'Toerental'],
  [
    'Fan speed',
    'Lüfterdrehzahl',
    'Vitesse du ventilateur',
    'Velocidad del ventilador',
    'Velocità della ventola',
    'Ventilatorsnelheid',
  ],
  [
    'Rotational speed',
    'Drehzahl',
    'Vitesse de rotation',
    'Velocidad de rotación',
    'Velocità di rotazione',
    'Toerental',
  ],
  ['Airflow', 'Luftdurchsatz', 'Débit d’air', 'Flujo de aire', 'Flusso d’aria', 'Luchtstroom'],
  ['Air flow', 'Fördervolumen', 'Débit d’air', 'Caudal de aire', 'Portata d’aria', 'Luchtverplaatsing'],
  [
    'Static pressure',
    'Statischer Druck',
    'Pression statique',
    'Presión estática',
    'Pressione statica',
    'Statische druk',
  ],
  ['Noise', 'Lautstärke', 'Niveau sonore', 'Ruido', 'Rumorosità', 'Geluidsniveau'],
  ['Noise level', 'Geräuschpegel', 'Niveau sonore', 'Nivel de ruido', 'Livello di rumore', 'Geluidsniveau'],
  [
    'Expansion slots',
    'Erweiterungssteckplätze',
    'Emplacements d’extension',
    'Ranuras de expansión',
    'Slot di espansione',
    'Uitbreidingsslots',
  ],
  ['Drive bays', 'Laufwerksschächte', 'Baies', 'Bahías', 'Alloggiamenti', 'Schijfposities'],
  ['Fans', 'Lüfter', 'Ventilateurs', 'Ventiladores', 'Ventole', 'Ventilatoren'],
  ['Power supply', 'Netzteil', 'Alimentation', 'Fuente de alimentación', 'Alimentatore', 'Voeding'],
  ['SATA ports', 'SATA-Anschlüsse', 'Ports SATA', 'Puertos SATA', 'Porte SATA', 'SATA-poorten'],
  ['M.2 slots', 'M.2-Steckplätze', 'Emplacements M.2', 'Ranuras M.2', 'Slot M.2', 'M.2-slots'],
  ['LAN', 'Netzwerk', 'Réseau', 'Red', 'Rete', 'Netwerk'],
  ['Network', 'Netzwerk', 'Réseau', 'Red', 'Rete', 'Netwerk'],
  ['Ports', 'Anschlüsse', 'Ports', 'Puertos', 'Porte', 'Poorten'],
  [
    'Operating temperature',
    'Betriebstemperatur',
    'Température de fonctionnement',
    'Temperatura de funcionamiento',
    'Temperatura di esercizio',
    'Bedrijfstemperatuur',
  ],
  ['Motherboard', 'Mainboard', 'Carte mère', 'Placa base', 'Scheda madre', 'Moederbord'],
  [
    'Max. CPU cooler height',
    'Max. CPU-Kühlerhöhe',
    'Hauteur max. du ventirad',
    'Altura máx. del disipador',
    'Altezza max. dissipatore',
    'Max. hoogte CPU-koeler',
  ],
];
test.each([
  ['German', 1],
  ['French', 2],
  ['Spanish', 3],
  ['Italian', 4],
  ['Dutch', 5],
])('what is read does not hang on the language of its labels: %s', (_name, language) => {
  const words = new Map(LABELS.map((row) => [row[0].toLowerCase(), row[language]!]));
  const plain = SAMPLES.filter(({ text }) => !/[\t|•*{]/.test(text));
  const written = plain.flatMap((sample) => relabelled(sample, words, 3) ?? []);
  expect(written.length).toBeGreaterThan(80);
  const { fields, right, wrong, notes } = scoreSamples(written);
  const told = notes.filter((note) => !note.includes(' open, is '));
  expect(wrong / fields <= 0.005 ? [] : told).toEqual([]);
  expect(right / fields).toBeGreaterThanOrEqual(0.97);
});
