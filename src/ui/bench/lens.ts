import type { ReactNode } from 'react';
import type { Drawer } from '../../core/search/fixes';
import type { Editing } from './editing';
import type { Folding } from './folding';
import type { Analysed, FixesState } from './use-analysis';

/**
 * What a lens is given. It draws both columns of the Bench, by way of `LensFrame`: the ladder under `head`, and the panel, which
 * begins with the verdict. A lens is one folder.
 */
export interface LensProps extends Analysed, Editing {
  readonly head: ReactNode;
  readonly drawer: Drawer;
  readonly folding: Folding;
  readonly proved: FixesState;
}
