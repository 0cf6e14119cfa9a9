/** Seconds as minutes and seconds, e.g. 132 as "2:12". */
export function showClock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
