import type { PlanReport } from '../core/files/plan-report';

/** The plan as a person reads it in a terminal. */
export function planText({ routes, hindrances, says, searched, complete }: PlanReport): string {
  const lines = [
    says,
    `${searched} ${searched === 1 ? 'layout was' : 'layouts were'} tried${complete ? '' : '; the search was cut short'}.`,
  ];
  for (const route of routes) {
    lines.push('', `${route.rank}. about ${Math.round(route.cost)}. ${route.says}`);
    for (const arrival of route.arrives) lines.push(`   ${arrival.says}`);
    if (route.lost) lines.push(`   ${route.lost.says}`);
    route.steps.forEach(({ says }, index) => lines.push(`   ${index + 1}. ${says}.`));
    for (const caution of route.cautions) lines.push(`   Caution. ${caution}`);
    if (route.also) {
      const more = route.also.buy.map(({ name }) => name).join(', ');
      lines.push(`   With the second recorder: ${more ? `also ${more}` : 'nothing more'}.`);
    }
  }
  for (const hindrance of hindrances) lines.push('', hindrance.says);
  return lines.join('\n');
}
