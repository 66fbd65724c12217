/** Why a file was refused. `at` is a JSON pointer into it, "" for the whole. */
export type ReadProblem =
  | { readonly code: 'too-large'; readonly at: ''; readonly bytes: number; readonly limit: number }
  | { readonly code: 'too-deep'; readonly at: ''; readonly limit: number }
  | { readonly code: 'not-json'; readonly at: ''; readonly detail: string }
  | { readonly code: 'not-a-rig'; readonly at: '/format'; readonly value: string }
  | {
      readonly code: 'wrong-version';
      readonly at: '/version';
      readonly value: string;
      readonly reads: number;
    }
  | { readonly code: 'malformed'; readonly at: string; readonly value: string; readonly expected: string }
  | { readonly code: 'unknown-part'; readonly at: string; readonly value: string }
  | { readonly code: 'unknown-port'; readonly at: string; readonly value: string; readonly part: string }
  | { readonly code: 'unknown-setting'; readonly at: string; readonly value: string; readonly part: string }
  | { readonly code: 'unknown-app'; readonly at: string; readonly value: string }
  | { readonly code: 'not-in-rig'; readonly at: string; readonly value: string }
  | { readonly code: 'id-twice'; readonly at: string; readonly value: string }
  | { readonly code: 'port-twice'; readonly at: string; readonly value: string }
  | {
      readonly code: 'no-plug-and-jack';
      readonly at: string;
      readonly value: string;
      readonly gender: 'plug' | 'jack';
    }
  | { readonly code: 'only-a-link'; readonly at: string; readonly value: string; readonly part: string };

/** One sentence that names the place and the value. */
export function sayProblem(problem: ReadProblem): string {
  switch (problem.code) {
    case 'too-large':
      return `The file has ${(problem.bytes / 1e6).toFixed(1)} MB; a rig file has at most ${problem.limit / 1e6} MB.`;
    case 'too-deep':
      return `The file nests deeper than ${problem.limit} levels; a rig file does not.`;
    case 'not-json':
      return `The file is not complete JSON: ${problem.detail}.`;
    case 'not-a-rig':
      return `/format is ${problem.value}; a Symplex rig says "symplex-rig".`;
    case 'wrong-version':
      return `/version is ${problem.value}; this Symplex reads version ${problem.reads}.`;
    case 'malformed':
      return `${problem.at || 'The file'} is ${problem.value}; it ${problem.expected}.`;
    case 'unknown-part':
      return `${problem.at} is ${problem.value}; the catalogue has no such part.`;
    case 'unknown-port':
      return `${problem.at} is ${problem.value}; "${problem.part}" has no such port.`;
    case 'unknown-setting':
      return `${problem.at} is ${problem.value}; "${problem.part}" has no such setting, or it cannot stand there.`;
    case 'unknown-app':
      return `${problem.at} is ${problem.value}; there is no such app class.`;
    case 'not-in-rig':
      return `${problem.at} is ${problem.value}; the rig has no part of that id.`;
    case 'id-twice':
      return `${problem.at} is ${problem.value}; that id is taken already.`;
    case 'port-twice':
      return `${problem.at} is ${problem.value}; another joint holds that port already.`;
    case 'no-plug-and-jack':
      return `${problem.at} is ${problem.value}, both of whose ends are ${problem.gender}s; a joint is of a plug in a jack.`;
    case 'only-a-link':
      return `${problem.at} is ${problem.value}, a "${problem.part}"; a lead or adapter neither sounds nor records.`;
  }
}
