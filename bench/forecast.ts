import { playClass } from '@wrenfern/core/testing/play-class';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { builtInCatalogue } from '@wrenfern/library';
import { EXPERT_CLASSES } from '@wrenfern/library/expert-classes';

/** How often the likely range holds a class, played by the model's own spreads. Wanted: 75 to 90 %. */
const PLAYS = 5_000;

for (const { name, plan } of EXPERT_CLASSES) {
  for (const style of [undefined, 'slow', 'brisk'] as const) {
    const { style: _own, ...bare } = plan;
    const timeline = timePlan(style ? { ...bare, style } : bare, builtInCatalogue);
    const { lowS, highS } = timeline.likely;
    const held = playClass(timeline, PLAYS).filter((total) => total >= lowS && total <= highS);
    const share = ((100 * held.length) / PLAYS).toFixed(1);
    const width = ((50 * (highS - lowS)) / timeline.totalS).toFixed(0);
    process.stdout.write(
      `${name.padEnd(44)} ${(style ?? 'style not said').padEnd(15)} ${share} % held, ± ${width} %\n`,
    );
  }
}
