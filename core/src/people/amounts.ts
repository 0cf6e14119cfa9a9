import { unitOf, type Ask } from './asks.ts';

/** In what an amount is told, and how many of that make one of what is measured. */
export function toldIn(ask: Ask): { unit: string; times: number } {
  const unit = unitOf(ask);
  switch (unit) {
    case 'w':
      return { unit: '% of the weight', times: 100 };
    case 'share':
      return { unit: '%', times: 100 };
    case 'flag':
      return { unit: '', times: 1 };
    default:
      return { unit, times: 1 };
  }
}

/** "12°", "40 % of the weight", "30 s". */
export function showAmount(ask: Ask, value: number): string {
  const { unit, times } = toldIn(ask);
  const number = Math.round(value * times);
  return unit === '°' ? `${number}°` : `${number} ${unit}`.trim();
}
