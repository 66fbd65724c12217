'use client';
import { Command } from 'cmdk';
import { useState } from 'react';
import { CATALOGUE, type Part } from '../../core/parts';
import { fromTemplate, ownCopy, TEMPLATES } from '../../core/parts/own-part';
import { keepOwnPart } from '../../store/own-parts';
import { PartSearch } from '../shared/part-search';
import { keeping } from '../shared/report-trouble';
import { Sheet } from '../shared/sheet';
import { toast } from '../shared/toast';
import { useOwnParts } from '../shared/use-own-parts';
import { OwnPartDialog } from './own-part-dialog';

/** From a template, or from any shipped part, to a part of the user's own. */
export function NewOwnPart({ kept, close }: { kept: (part: Part) => Promise<void>; close: () => void }) {
  const own = useOwnParts();
  const [begun, setBegun] = useState<Part>();
  const taken = new Set(own.map((part) => part.id));
  const begin = (part: Part | undefined, name: string) => part && setBegun(ownCopy(part, name, taken));
  if (begun) {
    const keep = (part: Part) => {
      // The id follows the name that was given, not the one it began with.
      const named = ownCopy(part, part.name, taken);
      close();
      void keeping(
        keepOwnPart(named)
          .then(() => kept(named))
          .then(() => toast.success(`${named.name} is in the drawer, and can be laid out in every rig.`)),
      );
    };
    return <OwnPartDialog part={begun} title="A part of your own" keep={keep} close={close} />;
  }
  return (
    <Sheet title="What is it most like?" open onOpenChange={(open) => !open && close()}>
      <PartSearch
        label="What is it most like?"
        parts={CATALOGUE}
        choose={(part) => begin(part, part.name)}
        above={(query) =>
          TEMPLATES.filter((template) =>
            `${template.name} ${template.says}`.toLowerCase().includes(query.trim().toLowerCase()),
          ).map((template) => (
            <Command.Item
              key={template.id}
              value={`template ${template.id}`}
              className="option"
              onSelect={() => begin(fromTemplate(template), template.name)}
            >
              <span className="block font-semibold">{template.name}</span>
              <span className="text-soft block text-[0.9375rem] leading-snug">{template.says}</span>
            </Command.Item>
          ))
        }
      />
    </Sheet>
  );
}
