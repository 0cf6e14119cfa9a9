import { AID_IDS } from '../body/aids/aid.ts';
import type { Option } from '../movement/exercise.ts';
import { askAfresh, fittingAids, NEAR_ASKS, type Asked, type Kept } from './asked.ts';
import { SIDE_ASKS, WHOLE_ASKS } from './asks.ts';
import { AS_ASKED } from './ways.ts';

/*
 * What an option asks, as short text that is kept with the library: numbers of three figures, nothing for 0, ? for
 * unknown; of a way with a support, or of half the way, only what differs from the plain one.
 */

const FIGURES = 3;

/** The plain way, half the way (empty where there is none), then each support that fits. */
export type WrittenAsked = [plain: string, half: string, ...aids: [aid: number, text: string][]];

function numbersOf({ whole, right, left, near }: Asked): number[] {
  return [...whole, ...right, ...left, ...NEAR_ASKS.map((ask) => near[ask])];
}

function written(value: number): string {
  if (Number.isNaN(value)) return '?';
  return value === 0 ? '' : String(Number(value.toPrecision(FIGURES)));
}

function read(text: string): number {
  if (text === '?') return NaN;
  return text === '' ? 0 : Number(text);
}

export function writeAsked(option: Option): WrittenAsked {
  const plain = askAfresh(option, AS_ASKED);
  if (!plain) throw new Error(`${option.name} can’t be measured`);
  const base = numbersOf(plain).map(written);
  const differing = (asked: Asked) =>
    numbersOf(asked)
      .map(written)
      .flatMap((text, index) => (text === base[index] ? [] : [`${index}:${text}`]))
      .join(',');
  const half = askAfresh(option, { aids: [], smaller: true });
  return [
    base.join(','),
    // A half way that differs in nothing still is one.
    half ? `=${differing(half)}` : '',
    ...fittingAids(option).flatMap((id): [number, string][] => {
      const asked = askAfresh(option, { aids: [id], smaller: false });
      return asked ? [[AID_IDS.indexOf(id), differing(asked)]] : [];
    }),
  ];
}

/** The ways that were written, by their keys, and the supports that fit. */
export function readAsked([plain, half, ...aids]: WrittenAsked): Kept {
  const base = plain.split(',').map(read);
  const ways = new Map<string, Asked | undefined>([
    ['', fromNumbers(base)],
    ['smaller', half === '' ? undefined : fromNumbers(changed(base, half.slice(1)))],
  ]);
  const fitting = aids.map(([at, text]) => {
    const id = AID_IDS[at];
    if (id === undefined) throw new Error(`there is no support ${at}`);
    ways.set(id, fromNumbers(changed(base, text)));
    return id;
  });
  return { ways, aids: fitting };
}

function changed(base: readonly number[], differing: string): number[] {
  const made = [...base];
  for (const entry of differing === '' ? [] : differing.split(',')) {
    const [index = '', text = ''] = entry.split(':');
    made[Number(index)] = read(text);
  }
  return made;
}

function fromNumbers(numbers: readonly number[]): Asked {
  const [side, whole] = [SIDE_ASKS.length, WHOLE_ASKS.length];
  const part = (from: number, size: number) => Float64Array.from(numbers.slice(from, from + size));
  const near = numbers.slice(whole + 2 * side);
  return {
    whole: part(0, whole),
    right: part(whole, side),
    left: part(whole + side, side),
    near: Object.fromEntries(
      NEAR_ASKS.map((ask, index) => [ask, near[index] ?? 0]),
    ) as Asked['near'],
  };
}
