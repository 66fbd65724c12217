import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { file, folder, symplex } from '../../testing/terminal';

describe('what every command has', () => {
  const commands = JSON.parse(readFileSync('src/cli/commands.json', 'utf8')) as {
    name: string;
    options: { name: string }[];
    examples: string[];
  }[];

  it.each(commands.map((command) => [command.name, command] as const))(
    '%s --help names its options and examples, and does nothing',
    (name, { options, examples }) => {
      for (const args of [
        [name, '--help'],
        ['help', name],
        [name, 'no-such-file', '-h'],
      ]) {
        const { status, stdout, stderr } = symplex(...args);
        expect([status, stderr]).toEqual([0, '']);
        for (const option of options) expect(stdout).toContain(`--${option.name}`);
        for (const example of examples) expect(stdout).toContain(example);
      }
    },
  );

  it('a version', () => expect(symplex('--version').stdout).toMatch(/^\d+\.\d+\.\d+\n$/));

  it('help of nothing known is refused with the commands that are', () => {
    const { status, stderr } = symplex('help', 'dance');
    expect(status).toBe(2);
    expect(stderr).toContain('symplex check RIG.json');
  });

  it('standard input for a file', () => {
    const input = readFileSync('demo/rigs/slipway-diary.json', 'utf8');
    const read = spawnSync('./symplex', ['check', '-', '--json'], { encoding: 'utf8', input });
    expect(JSON.parse(read.stdout)).toMatchObject({ rig: 'slipway-diary', verdict: 'silent' });
  });

  it('a reader that goes away is exit code 1, without a trace', () => {
    const { stdout, stderr } = spawnSync(
      'sh',
      ['-c', '(./symplex part mixer-large --json; echo "exit $?" >&2) | true'],
      {
        encoding: 'utf8',
      },
    );
    expect(stdout).toBe('');
    expect(stderr).toBe('exit 1\n');
  });
});

describe('what is written', () => {
  it('the mended rig, which is clean, and what differs between the two', () => {
    const to = join(folder, 'mended.json');
    const { status, stdout } = symplex('check', 'demo/rigs/slipway-diary.json', '--do=2', '-o', to);
    expect(status).toBe(0);
    expect(stdout.indexOf('Do this:')).toBeLessThan(stdout.indexOf('[blocks]'));
    expect(JSON.parse(symplex('check', to, '--json').stdout)).toMatchObject({ verdict: 'clean' });
    const { differences } = JSON.parse(symplex('diff', 'demo/rigs/slipway-diary.json', to, '--json').stdout);
    expect(differences).toContainEqual({
      what: 'Receiver, TRS output, Output',
      one: 'high',
      other: 'low',
    });
  });

  it('nowhere is exit code 1, told in one line', () => {
    const to = join(folder, 'no', 'such', 'place.json');
    const { status, stderr } = symplex('check', 'demo/rigs/slipway-diary.json', '--do', '1', '-o', to);
    expect(status).toBe(1);
    expect(stderr).toContain('cannot be written');
  });

  it('a stand-in that the sound check takes', () => {
    const to = join(folder, 'take.wav');
    const plan = 'demo/rigs/launch-day-stream.json';
    expect(symplex('soundcheck', '--stand-in', plan, '-o', to).status).toBe(0);
    const report = JSON.parse(symplex('soundcheck', to, '--rig', plan, '--json').stdout);
    expect(report.findings.map(({ code }: { code: string }) => code)).toContain('take-hums');
    expect(report.reading.explanations[0]).toMatchObject({ edits: [] });
  });

  it('exit code 3 where something as bad as was asked about is found, and only there', () => {
    const asked = (rig: string, severity: string) =>
      symplex('check', rig, '--fixes', '0', '--fail-on', severity).status;
    expect(asked('demo/rigs/slipway-diary.json', 'blocks')).toBe(3);
    expect(asked('demo/rigs/slipway-diary.json', 'danger')).toBe(0);
    expect(asked('demo/rigs/two-at-the-bench.json', 'spoils')).toBe(3);
    expect(asked('demo/usual/pack-usb-c.json', 'note')).toBe(0);
  });
});

describe('what is owned', () => {
  const fixesOf = (...args: string[]) =>
    JSON.parse(symplex('check', 'demo/rigs/slipway-diary.json', '--json', ...args).stdout).findings[0].fixes;
  it('is taken from a drawer, as JSON or CSV', () => {
    const csv = file('drawer.csv', 'part,count\npatch-trs-trrs,1\n');
    for (const drawer of ['demo/drawer.json', csv])
      expect(fixesOf('--drawer', drawer)[0]).toMatchObject({ owned: true, edit: { to: 'patch-trs-trrs' } });
    expect(fixesOf()[0]).toMatchObject({ owned: false });
  });
});

describe('the catalogue', () => {
  it('lists parts by words, one part whole, and the apps', () => {
    const { parts } = JSON.parse(symplex('parts', 'receiver', 'usb', '--json').stdout);
    expect(parts.map(({ id }: { id: string }) => id)).toContain('receiver-usb');
    expect(symplex('parts').stdout.split('\n').length).toBeGreaterThan(170);
    expect(symplex('part', 'receiver-trs').stdout).toContain('low · high');
    expect(JSON.parse(symplex('part', 'receiver-trs', '--json').stdout)).toMatchObject({ price: 180 });
    expect(symplex('apps').stdout).toContain('voice-room');
    const { status, stderr } = symplex('part', 'receiver-tru');
    expect(status).toBe(2);
    expect(stderr).toContain('did you mean receiver-trs?');
  });
});

describe('a field that is misspelt', () => {
  it('is told on standard error, and in JSON', () => {
    const rig = JSON.parse(readFileSync('demo/rigs/slipway-diary.json', 'utf8'));
    rig.parts[1].lenght = 3;
    const { status, stdout, stderr } = symplex(
      'check',
      file('typed.json', JSON.stringify(rig)),
      '--json',
      '--fixes',
      '0',
    );
    expect(status).toBe(0);
    expect(stderr).toContain('did you mean "length"?');
    expect(JSON.parse(stdout).warnings).toMatchObject([{ code: 'unknown-field', nearest: 'length' }]);
  });
});
