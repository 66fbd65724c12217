/** Where a knob will be, as high and as wide as it. */
export function FieldPlace({ name }: { readonly name: string }) {
  return (
    <div aria-hidden className="flex min-h-11 items-center gap-2 lg:min-h-9">
      <span>{name}</span>
      <span className="h-8 w-62" />
    </div>
  );
}
