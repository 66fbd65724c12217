import type { ReactNode } from 'react';

interface LensFrameProps {
  readonly head: ReactNode;
  readonly ladder: ReactNode;
  readonly panel: ReactNode;
}

/** The two columns of the Bench: the ladder, and what is said of it. */
export function LensFrame({ head, ladder, panel }: LensFrameProps) {
  return (
    <>
      <div data-scrolls className="px-3 pt-3 pb-6 lg:overflow-y-auto lg:px-6">
        {head}
        {ladder}
      </div>
      {panel}
    </>
  );
}

/** The right column; at the foot of a phone it sticks. */
export function PanelFrame({ label, children }: { label: string; children: ReactNode }) {
  return (
    <aside
      // It scrolls: by keyboard too, while nothing in it takes the focus yet.
      tabIndex={0}
      aria-label={label}
      className="border-line bg-panel sticky bottom-0 z-[5] border-t-4 px-4 pt-3 pb-4 max-lg:max-h-[60dvh] max-lg:overflow-y-auto lg:h-dvh lg:overflow-y-auto lg:border-t-0 lg:border-l lg:px-5 lg:pt-5"
    >
      {children}
    </aside>
  );
}
