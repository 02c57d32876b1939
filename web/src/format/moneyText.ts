/**
 * Signs of moneys of two decimals, as British English writes them. Not by Intl for these: a page's first use
 * of it reads tables for 50 ms before anything is shown.
 */
const SIGNS: Readonly<Record<string, string>> = {
  EUR: '€',
  GBP: '£',
  USD: 'US$',
  AUD: 'A$',
  CAD: 'CA$',
  NZD: 'NZ$',
  CHF: 'CHF\u00a0',
  SEK: 'SEK\u00a0',
  NOK: 'NOK\u00a0',
  DKK: 'DKK\u00a0',
  PLN: 'PLN\u00a0',
};
const made = new Map<string, Intl.NumberFormat>();

/**
 * @param currency ISO 4217 code
 * @returns a price with its sign, such as €3.40
 */
export function moneyText(price: number, currency: string): string {
  const sign = SIGNS[currency];
  if (sign === undefined) return pricesIn(currency).format(price);
  const [whole, cents] = Math.abs(price).toFixed(2).split('.');
  const grouped = whole!.replaceAll(/\B(?=(\d{3})+$)/g, ',');
  return `${price < 0 ? '-' : ''}${sign}${grouped}.${cents}`;
}

function pricesIn(currency: string): Intl.NumberFormat {
  const prices =
    made.get(currency) ?? new Intl.NumberFormat('en-GB', { style: 'currency', currency });
  made.set(currency, prices);
  return prices;
}
