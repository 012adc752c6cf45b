import { readNumber, type Item } from '@inch-tower/core';
import { Typed } from './Typed';

type Price = NonNullable<Item['price']>;
type Props = {
  readonly name: string;
  readonly price: Price;
  readonly onPrice: (price: Price, words: string) => void;
  readonly onProblem: (words: string) => void;
};

const SELLERS = { '': 'not said', shop: 'a shop', private: 'a private seller' } as const;
const TESTED = { '': 'not said', yes: 'tested', no: 'not tested' } as const;
const GENUINE = { '': 'no doubt', doubtful: 'may be counterfeit' } as const;
const WHOLE = [
  ['deliveryDays', 'Here in', 'days', 365],
  ['warrantyMonths', 'Warranty', 'months', 240],
] as const;

/** Of whom a part is bought, tested or not, how long it takes and how long it is answered for. */
export function Offer({ name, price, onPrice, onProblem }: Props) {
  const without = (field: keyof Price): Price => {
    const { [field]: _old, ...rest } = price;
    return rest as Price;
  };
  return (
    <>
      <span className="text-mid">Bought of</span>
      <span className="flex flex-wrap gap-1.5">
        <select
          className="field"
          aria-label={`Of whom ${name} is bought`}
          value={price.seller ?? ''}
          onChange={({ target: { value } }) =>
            onPrice(
              value === '' ? without('seller') : { ...price, seller: value as 'shop' | 'private' },
              `${name}: bought of ${SELLERS[value as keyof typeof SELLERS]}`,
            )
          }
        >
          {Object.entries(SELLERS).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
        <select
          className="field"
          aria-label={`Whether ${name} is what it says it is`}
          value={price.doubtful ? 'doubtful' : ''}
          onChange={({ target: { value } }) =>
            onPrice(
              value === '' ? without('doubtful') : { ...price, doubtful: true },
              `${name}: ${GENUINE[value as keyof typeof GENUINE]}`,
            )
          }
        >
          {Object.entries(GENUINE).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
        <select
          className="field"
          aria-label={`Whether ${name} was tested`}
          value={price.tested === undefined ? '' : price.tested ? 'yes' : 'no'}
          onChange={({ target: { value } }) =>
            onPrice(
              value === '' ? without('tested') : { ...price, tested: value === 'yes' },
              `${name}: ${TESTED[value as keyof typeof TESTED]}`,
            )
          }
        >
          {Object.entries(TESTED).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </span>
      {WHOLE.map(([field, words, unit, most]) => (
        <span key={field} className="contents">
          <span className="text-mid">{words}</span>
          <span className="flex items-center gap-1.5">
            <Typed
              label={`${words} of ${name}, in ${unit}`}
              text={price[field] === undefined ? '' : String(price[field])}
              className="w-20 text-right"
              placeholder="not said"
              onTyped={(text) => {
                if (text.trim() === '') return onPrice(without(field), `${name}: ${words.toLowerCase()} open`);
                const read = readNumber(text, { unit });
                if (!read.ok) return onProblem(`${words}: ${read.words}.`);
                if (!Number.isInteger(read.value) || read.value < 0 || read.value > most)
                  return onProblem(`${words}: whole ${unit}, from 0 to ${most}.`);
                onPrice({ ...price, [field]: read.value }, `${name}: ${words.toLowerCase()} ${read.value} ${unit}`);
              }}
            />
            <span className="text-[12px] text-mid">{unit}</span>
          </span>
        </span>
      ))}
    </>
  );
}
