/** "45 min", "1 h 10", "6 h": minutes as they are said of a session. */
export function sayMinutes(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`;
}
