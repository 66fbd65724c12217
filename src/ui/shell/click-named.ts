/** Presses the first button on the page whose name begins so: a command does what the button does, and nothing else. */
export function clickNamed(name: string): void {
  const buttons = [...document.querySelectorAll('button')];
  const named = (button: HTMLButtonElement) =>
    button.getAttribute('aria-label') ?? button.textContent.replace(/\s+/g, ' ').trim();
  // After the palette has closed and given the focus back.
  window.setTimeout(() => buttons.find((button) => named(button).startsWith(name))?.click(), 50);
}
