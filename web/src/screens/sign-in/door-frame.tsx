import type { ReactNode } from 'react';
import { Figure } from '../../parts/figure.tsx';

const REACHING = { poses: ['bird-dog'] };

/** The page before the studio: a quiet picture on one side, the way in on the other. */
export function DoorFrame({ children }: { children: ReactNode }) {
  return (
    <main className="grid min-h-dvh lg:grid-cols-[1.1fr_1fr]">
      <section className="hidden flex-col justify-between bg-mist p-12 lg:flex">
        <p className="title text-2xl text-fern">Wrenfern</p>
        <div>
          <Figure of={REACHING} width={430} height={220} className="figure-on-mist" />
          <h2 className="mt-6 max-w-md text-3xl">
            Plan the hour, know who does what, and teach it looking up.
          </h2>
          <p className="mt-3 max-w-md text-base text-soft">
            Order, options, props and minutes for group classes on the mat and the reformer, worked
            out as you plan.
          </p>
        </div>
        <p className="max-w-md text-soft">
          Wrenfern shows the usual cautions. It does not diagnose or clear anyone: clinicians,
          makers’ instructions and local rules come first.
        </p>
      </section>
      <section className="flex items-center justify-center p-6">
        <div className="w-full max-w-sm">{children}</div>
      </section>
    </main>
  );
}
