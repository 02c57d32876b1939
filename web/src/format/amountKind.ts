import { amountText, percentFigure, type Expected, type UnitId } from '@ratio/core/units';
import type { AmountFormat } from './amountFormat.ts';

/** How an amount is read and written in its field, and what it may be. */
export interface AmountKind {
  /** Quantities that can be typed; the value is in the canonical unit of the first. */
  readonly accepts: readonly [Expected, ...Expected[]];
  /** What a plain number means. */
  readonly plainUnit?: UnitId;
  /** Density by which a mass stands for a volume and the other way about, g/mL. */
  readonly gPerMl?: number;
  /** What a plain number is times where it is written by another unit than it is kept by. */
  readonly times?: number;
  readonly write: (value: number) => string;
  readonly step: number;
  readonly min: number;
  readonly max: number;
  /** What would do, where the usual example of its quantity would not. */
  readonly example?: string;
  /** Why a value outside the limits will not do, in a sentence. */
  readonly limitText: string;
}

/** Limits of an amount in its canonical unit, and what differs from the usual of its kind. */
type Limits = Pick<AmountKind, 'step' | 'min' | 'max'> &
  Partial<Pick<AmountKind, 'accepts' | 'plainUnit' | 'write' | 'limitText' | 'gPerMl' | 'example'>>;

function kindOf(usual: Pick<AmountKind, 'accepts' | 'plainUnit' | 'write'>, limits: Limits) {
  const kind = { ...usual, ...limits };
  return { limitText: betweenText(kind), ...kind };
}

/** @returns "Between 5 and 35 %." */
function betweenText({ write, min, max }: Pick<AmountKind, 'write' | 'min' | 'max'>): string {
  const [low, high] = [min, max].map((limit) => write(limit).replace(/\.0+(?=\D|$)/, ''));
  const [unit = ''] = /\u202f.*$/.exec(high!) ?? [];
  const first = unit !== '' && low!.endsWith(unit) ? low!.slice(0, -unit.length) : low!;
  return `Between ${first} and ${high}.`.replaceAll('\u202f', ' ');
}

/** @returns a mass, g */
export const massKind = (format: AmountFormat, limits: Limits): AmountKind =>
  kindOf({ accepts: ['mass'], plainUnit: format.plainMass, write: format.mass }, limits);

/** @returns a mass, g, which may be entered by its volume */
export const measuredKind = (
  format: AmountFormat,
  limits: Limits & { readonly gPerMl: number },
): AmountKind => massKind(format, { ...limits, accepts: ['mass', 'volume'] });

/** @returns a volume, mL, which may be entered by its mass */
export const pouredKind = (
  format: AmountFormat,
  limits: Limits & { readonly gPerMl: number },
): AmountKind => volumeKind(format, { ...limits, accepts: ['volume', 'mass'] });

/** @returns an amount as its kind counts it: what was entered in the other quantity, by the density */
export function inUsual(
  { value, quantity }: { value: number; quantity: Expected },
  { accepts: [usual], gPerMl, times = 1 }: Pick<AmountKind, 'accepts' | 'gPerMl' | 'times'>,
): number {
  if (quantity === usual || gPerMl === undefined) return value * times;
  if (usual === 'mass' && quantity === 'volume') return value * gPerMl;
  return usual === 'volume' && quantity === 'mass' ? value / gPerMl : value;
}

/** @returns a volume, mL, a plain number being a small one */
export const volumeKind = (format: AmountFormat, limits: Limits): AmountKind =>
  kindOf({ accepts: ['volume'], plainUnit: format.plainVolume, write: format.volume }, limits);

/** @returns a volume, mL, a plain number being litres or quarts */
export const largeVolumeKind = (format: AmountFormat, limits: Limits): AmountKind =>
  kindOf({ accepts: ['volume'], plainUnit: format.plainLargeVolume, write: format.volume }, limits);

/** @returns a temperature, °C */
export const tempKind = (format: AmountFormat, limits: Limits): AmountKind =>
  kindOf({ accepts: ['temperature'], write: format.temp }, limits);

/** @returns a fraction, written in per cent */
export const percentKind = (limits: Limits & { readonly decimals?: number }): AmountKind =>
  kindOf(
    {
      accepts: ['percent'],
      write: (frac) => amountText({ figure: percentFigure(frac, limits.decimals), unit: '%' }),
    },
    limits,
  );

/** @returns a number without a unit */
export const numberKind = (limits: Limits & { readonly decimals?: number }): AmountKind =>
  kindOf(
    { accepts: ['number'], write: (value) => value.toFixed(limits.decimals ?? 0) },
    { example: limits.decimals ? (12).toFixed(limits.decimals) : '12', ...limits },
  );

/** How long something keeps once it is opened, days; 0 where it keeps. */
export const OPENED_DAYS = numberKind({
  step: 1,
  min: 0,
  max: 3650,
  write: (days) => (days === 0 ? 'keeps' : days.toFixed(0)),
  limitText: 'Whole days; 0 where it keeps.',
});

/** @returns a price, a plain number, with what is written where none is known */
export const priceKind = (limits: {
  readonly max: number;
  readonly unknown?: boolean;
}): AmountKind =>
  numberKind({
    step: 0.1,
    min: 0,
    max: limits.max,
    example: '4.80',
    write: (price) => (limits.unknown && price === 0 ? '–' : price.toFixed(2)),
  });

/** @returns a price of a kilogram, written by what the page prices by */
export const pricePerMassKind = (
  { pricedPerKg }: AmountFormat,
  limits: { readonly max: number; readonly unknown?: boolean },
): AmountKind => {
  const price = priceKind(limits);
  const own = {
    ...price,
    times: pricedPerKg,
    step: price.step * pricedPerKg,
    write: (pricePerKg: number) => price.write(pricePerKg / pricedPerKg),
  };
  return { ...own, limitText: betweenText(own) };
};

/** @returns a ratio of coffee to water, the water's side */
export const ratioKind = (limits: Limits): AmountKind =>
  kindOf({ accepts: ['ratio'], write: (ratio) => `1 : ${ratio.toFixed(1)}` }, limits);

/** @returns parts of the rest to one of concentrate, typed as people say it: 2:1, 1 to 2, half and half */
export const partsKind = (limits: Limits): AmountKind =>
  kindOf(
    {
      accepts: ['ratio'],
      write: (rest) =>
        rest > 0 && rest < 1
          ? `${Number((1 / rest).toFixed(2))} : 1`
          : `1 : ${Number(rest.toFixed(2))}`,
    },
    limits,
  );

/** @returns a time, s, read and written in hours */
export const hoursKind = (limits: Limits): AmountKind =>
  kindOf(
    {
      accepts: ['time'],
      plainUnit: 'hour',
      write: (timeS) => amountText({ figure: `${Number((timeS / 3600).toFixed(2))}`, unit: 'h' }),
    },
    limits,
  );

/** Strength of a coffee in a jug or a cup. */
export const STRENGTH = percentKind({ step: 0.0005, min: 0.001, max: 0.2 });
