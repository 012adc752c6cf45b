import {
  minorPerMajor,
  offersOf,
  setAside,
  takeOffer,
  type Item,
  type OfferTold,
  type PlannedUnit,
} from '@inch-tower/core';
import { useAppSelector } from '../../state/store';
import { moneyWords } from '../../words/format';

type Props = {
  readonly name: string;
  readonly item: Item;
  readonly units: readonly PlannedUnit[];
  readonly onPatch: (patch: Partial<Item>, words: string) => void;
};

/** What else a part was offered for, by what all of it costs: one is taken, one forgotten, the price set aside. */
export default function Offers({ name, item, units, onPatch }: Props) {
  const currency = useAppSelector((state) => state.bench.build!.currency);
  const rates = useAppSelector((state) => state.bench.build!.rates);
  const aside = setAside(item);
  const all = item.offers?.length ? offersOf({ item, units }, { currency, rates: rates ?? {} }) : [];
  return (
    <div className="col-span-2 mt-1">
      {all.length > 0 && (
        <table className="w-full text-[12.5px]">
          <caption className="text-left text-mid">Offers, all of it with shipping and tax</caption>
          <tbody>
            {all.map((offer, i) => (
              <tr key={i} className="border-t border-dotted border-line align-top">
                <td className="mono w-0 py-1 pr-2 text-right whitespace-nowrap">{totalWords(offer, currency)}</td>
                <td className="py-1 pr-2 text-mid">{offerWords(offer)}</td>
                <td className="py-1 text-right whitespace-nowrap">
                  {offer.at === null ? (
                    <span className="font-medium">counts</span>
                  ) : (
                    <>
                      <button
                        type="button"
                        className="plain min-h-6 underline"
                        aria-label={`Take the offer of ${totalWords(offer, currency)} for ${name}`}
                        onClick={() => {
                          const patch = takeOffer(item, offer.at!);
                          if (patch) onPatch(patch, `${name}: offer of ${totalWords(offer, currency)}`);
                        }}
                      >
                        Take
                      </button>
                      <button
                        type="button"
                        className="plain ml-2 min-h-6 text-mid underline"
                        aria-label={`Forget the offer of ${totalWords(offer, currency)} for ${name}`}
                        onClick={() =>
                          onPatch(
                            { offers: item.offers!.filter((_, at) => at !== offer.at) },
                            `${name}: an offer forgotten`,
                          )
                        }
                      >
                        Forget
                      </button>
                    </>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {aside && (
        <button
          type="button"
          className="press mt-1"
          title="Keeps this price in the list; then another can be typed above"
          onClick={() => onPatch(aside, `${name}: price kept as an offer`)}
        >
          Keep this price as an offer
        </button>
      )}
    </div>
  );
}

const totalWords = ({ total, price }: OfferTold, currency: string): string =>
  total === null
    ? `${price.currency} ${price.minor / minorPerMajor(price.currency)}`
    : moneyWords(Math.round(total * minorPerMajor(currency)), currency);

/** Of whom, when, and what speaks for it or against it. */
function offerWords({ price, total }: OfferTold): string {
  const { from, at, seller, tested, doubtful, deliveryDays, warrantyMonths } = price;
  return [
    from,
    seller === 'private' ? 'private seller' : '',
    tested === undefined ? '' : tested ? 'tested' : 'not tested',
    doubtful ? 'may be counterfeit' : '',
    deliveryDays === undefined ? '' : `here in ${deliveryDays} days`,
    warrantyMonths ? `warranty ${warrantyMonths} months` : '',
    at,
    total === null ? 'no rate known' : '',
  ]
    .filter(Boolean)
    .join(', ');
}
