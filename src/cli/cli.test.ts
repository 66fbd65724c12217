import { spawnSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { file, symplex } from '../../testing/terminal';
import { grown } from './grown';

describe('symplex check', () => {
  it('answers in JSON with the documented fields', () => {
    const { status, stdout } = symplex('check', 'demo/rigs/slipway-diary.json', '--json');
    expect(status).toBe(0);
    const report = JSON.parse(stdout);
    expect(Object.keys(report)).toEqual([
      'rig',
      'verdict',
      'arrives',
      'listeners',
      'levels',
      'power',
      'earth',
      'returns',
      'nets',
      'findings',
      'wayOut',
      'whyNot',
      'warnings',
    ]);
    expect(report.wayOut).toMatchObject({
      steps: [
        { edit: { kind: 'swap', to: 'patch-trs-trrs' }, owned: false, cost: 9, verdict: 'faulty' },
        { edit: { kind: 'set', option: 'low' }, owned: true, cost: 0, verdict: 'clean' },
      ],
      cost: 9,
      verdict: 'clean',
    });
    expect(report.whyNot).toBeNull();
    expect(report).toMatchObject({
      rig: 'slipway-diary',
      verdict: 'silent',
      arrives: [{ recorder: 'phone', app: 'camera-app', source: 'receiver', state: 'wrong-mic' }],
      findings: [{ code: 'mic-line-shorted', severity: 'blocks', where: { joint: 'j2' } }],
    });
    expect(Object.keys(report.findings[0])).toEqual(
      expect.arrayContaining(['code', 'severity', 'where', 'values', 'limit', 'source', 'says', 'fixes']),
    );
  });

  it('answers in words', () => {
    const { status, stdout } = symplex('check', 'demo/rigs/quay-to-camera.json');
    expect(status).toBe(0);
    expect(stdout).toContain('The camera will record its own microphone, not the pack.');
    expect(stdout).toContain('→ Move the plug to the mic jack of quay camera.');
  });

  it.each([
    ['no file', [], 'say which RIG.json'],
    ['a folder', ['demo'], 'demo: is a folder, not a file'],
    ['a device', ['/dev/zero'], '/dev/zero: is a device, not a file'],
    ['a binary', [file('odd.json', '\0\u0001\u0002')], 'is no text'],
    ['a misspelt option', ['demo/rigs/slipway-diary.json', '--jsno'], 'did you mean --json?'],
    [
      'a value where none belongs',
      ['demo/rigs/slipway-diary.json', '--json=yes'],
      '--json takes nothing, not yes',
    ],
    ['a severity that is none', ['demo/rigs/slipway-diary.json', '--fail-on', 'rain'], 'not rain'],
    ['a step that is none', ['demo/rigs/slipway-diary.json', '--do', '9', '-o', 'x'], 'from 1 to 2, not 9'],
    ['steps with nowhere to go', ['demo/rigs/slipway-diary.json', '--do', '1'], '--do goes with -o FILE'],
    [
      'a drawer that is none',
      ['demo/rigs/slipway-diary.json', '--drawer', 'package.json'],
      'has no list of items',
    ],
    ['a missing file', ['nowhere.json'], 'nowhere.json: cannot be read'],
    ['a truncated file', [file('cut.json', '{"format":')], 'not complete JSON'],
    ['another version', [file('v.json', '{"format":"symplex-rig","version":2}')], '/version is 2'],
    ['two files', ['demo/rigs/slipway-diary.json', 'b.json'], 'one file at a time, not also b.json'],
    ['an unknown option', ['demo/rigs/slipway-diary.json', '--loud'], 'unknown option --loud'],
    ['a file of 50 MB', [file('big.json', ' '.repeat(50_000_000))], 'at most 2 MB'],
  ])('%s: exit 2 and one clear line', (_, args, message) => {
    const { status, stdout, stderr } = symplex('check', ...args);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(
      stderr
        .trim()
        .split('\n')
        .filter((line) => !line.startsWith('npm warn')),
    ).toHaveLength(1);
    expect(stderr).toContain(message);
  });

  it.each([
    ['no number', ['--fixes'], '--fixes takes MS'],
    ['a word', ['--fixes', 'soon'], '--fixes takes milliseconds from 0 to 3600000, not soon'],
    ['a day', ['--fixes', '86400000'], 'not 86400000'],
    ['less than nothing', ['--fixes', '-5'], 'not -5'],
  ])('a time for fixes that is %s: exit 2 and one clear line', (_, args, message) => {
    const { status, stderr } = symplex('check', 'demo/rigs/slipway-diary.json', ...args);
    expect(status).toBe(2);
    expect(stderr).toContain(message);
  });

  it('says when the search for fixes was cut, and answers all the same', () => {
    const { status, stdout } = symplex('check', 'demo/rigs/slipway-diary.json', '--fixes', '0', '--json');
    expect(status).toBe(0);
    const [finding] = JSON.parse(stdout).findings;
    expect(finding).toMatchObject({ code: 'mic-line-shorted', fixes: [], fixesCut: 'time' });
    expect(symplex('check', 'demo/rigs/slipway-diary.json', '--fixes', '0').stdout).toContain(
      'The search for fixes was cut after 0 ms; --fixes MS gives it another time.',
    );
    const whole = symplex('check', 'demo/rigs/slipway-diary.json', '--fixes', '600000', '--json');
    expect(JSON.parse(whole.stdout).findings[0].fixesCut).toBeNull();
  });

  it('answers about a rig of 63 parts', () => {
    const { status, stdout } = symplex('check', file('big-rig.json', JSON.stringify(grown(9))), '--json');
    expect(status).toBe(0);
    expect(JSON.parse(stdout).arrives).toHaveLength(81);
  });

  it('bench takes no file', () => {
    const { status, stderr } = symplex('bench', 'nowhere');
    expect(status).toBe(2);
    expect(stderr).toContain('nowhere: takes nothing');
  });

  it('an unknown command names itself and the known ones', () => {
    const { status, stderr } = symplex('dance');
    expect(status).toBe(2);
    expect(stderr).toContain('unknown command "dance"');
    expect(stderr).toContain('symplex check');
  });
});

describe('symplex spice', () => {
  it('prints a netlist that ngspice runs in batch without complaint', () => {
    const { status, stdout } = symplex('spice', 'demo/rigs/slipway-diary.json');
    expect(status).toBe(0);
    const run = spawnSync('ngspice', ['-b', file('rig.cir', stdout)], { encoding: 'utf8' });
    expect(run.status).toBe(0);
    expect(run.stdout).toContain('vm(out)');
    expect(run.stdout).toMatch(/onoise_total = \d/);
    expect(run.stdout + run.stderr).not.toMatch(/error|singular|warning/i);
  });

  it('names every net of every demo rig', () => {
    for (const rig of readdirSync('demo/rigs')) {
      expect(symplex('spice', `demo/rigs/${rig}`).stdout, rig).not.toMatch(/undefined|NaN/);
    }
  });
});

describe('symplex plan', () => {
  it(
    'answers in JSON with the documented fields, and every rig is one that check takes',
    { timeout: 60_000 },
    () => {
      const { status, stdout } = symplex('plan', 'demo/requests/loft-condenser.json', '--json');
      expect(status).toBe(0);
      const report = JSON.parse(stdout);
      expect(Object.keys(report)).toEqual([
        'routes',
        'hindrances',
        'searched',
        'complete',
        'ruledOut',
        'sure',
        'late',
        'leftOut',
        'alone',
        'says',
        'warnings',
      ]);
      expect(Object.keys(report.routes[0])).toEqual(
        expect.arrayContaining(['rank', 'verdict', 'cost', 'buy', 'own', 'parts', 'arrives', 'rig']),
      );
      const rig = file('route.json', JSON.stringify(report.routes[0].rig));
      expect(JSON.parse(symplex('check', rig, '--json').stdout)).toMatchObject({ verdict: 'clean' });
    },
  );

  it('has the time that it is given, and says where that was too short', { timeout: 60_000 }, () => {
    const path = 'demo/requests/loft-condenser.json';
    const hasty = JSON.parse(symplex('plan', path, '--time', '0', '--json').stdout);
    expect(hasty).toMatchObject({ complete: false, late: true });
    expect(hasty.says).toContain('by time');
    const { status, stderr } = symplex('plan', path, '--time', 'soon');
    expect(status).toBe(2);
    expect(stderr).toContain('--time takes milliseconds from 0 to 3600000, not soon');
  });

  it('answers in words', { timeout: 60_000 }, () => {
    const { status, stdout } = symplex('plan', 'demo/requests/slipway-pack-to-phone.json');
    expect(status).toBe(0);
    expect(stdout).toContain('From the drawer: TRS-to-TRRS patch cable, 0.2 m and Headset dongle, 8-pin.');
    expect(stdout).toContain('layouts were tried');
  });

  it.each([
    ['no file', [], 'say which REQUEST.json'],
    ['no request', [file('no.json', '{"format":"symplex-rig"}')], 'must be'],
    [
      'an unknown part',
      [
        file(
          'part.json',
          '{"format":"symplex-request","version":1,"sources":[{"part":"x"}],"destinations":[{"part":"phone-ctia"}]}',
        ),
      ],
      '/sources/0/part is "x"',
    ],
    ['an unknown option', ['demo/requests/loft-condenser.json', '--fast'], 'unknown option --fast'],
  ])('%s: exit 2 and one clear line', (_, args, message) => {
    const { status, stdout, stderr } = symplex('plan', ...args);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr.trim().split('\n')).toHaveLength(1);
    expect(stderr).toContain(message);
  });
});

describe('symplex power', () => {
  it('answers in JSON: three questions, supply, earths, the order', () => {
    const { status, stdout } = symplex('power', 'demo/rigs/launch-day-stream.json', '--json');
    expect(status).toBe(0);
    const report = JSON.parse(stdout);
    expect(Object.keys(report)).toEqual([
      'rig',
      'verdict',
      'answers',
      'power',
      'earth',
      'order',
      'cautions',
      'warnings',
    ]);
    expect(report.answers.map(({ asks, is }: { asks: string; is: string }) => `${asks} ${is}`)).toEqual([
      'start well',
      'last well',
      'hum ill',
    ]);
    expect(report.earth.loops[0].places).toEqual(['Quay strip']);
    expect(report.earth.hum[0].whineDbfs.typical).toBeGreaterThan(report.earth.hum[0].whineDbfs.least);
    expect(report.order[0].says).toContain('phantom off');
  });

  it('and in words', () => {
    const { stdout } = symplex('power', 'demo/rigs/sail-loft-talk.json');
    expect(stdout).toContain('✗ It does not start: the interface is given too little power, or none.');
    expect(stdout).toMatch(/hub\.one → interface\.usb +refused of 100 mA/);
  });
});

describe('symplex returns', () => {
  const rig = 'demo/rigs/harbour-call-in.json';
  it('answers in JSON: who hears whom, the echo, the sends', () => {
    const { status, stdout } = symplex('returns', rig, '--json');
    expect(status).toBe(0);
    const report = JSON.parse(stdout);
    expect(Object.keys(report)).toEqual([
      'rig',
      'hears',
      'says',
      'echo',
      'loops',
      'air',
      'moves',
      'people',
      'plan',
      'warnings',
    ]);
    expect(report.hears).toContainEqual(
      expect.objectContaining({ listener: 'phone-a', voice: 'phone-b', state: 'not', level: null }),
    );
    expect(report.echo).toMatchObject([{ caller: 'phone-a', roundTripMs: { typical: 260 } }]);
    expect(report.plan).toMatchObject({ proved: true, missing: [], echoing: [] });
  });

  it('and in words', () => {
    expect(symplex('returns', rig).stdout).toContain('Caller B hears everyone but Caller A.');
  });
});

describe('symplex levels', () => {
  const rig = 'demo/rigs/two-at-the-bench.json';

  it('answers in JSON: ways, the plan, the schools', () => {
    const { status, stdout } = symplex('levels', rig, '--json');
    expect(status).toBe(0);
    const report = JSON.parse(stdout);
    expect(report.ways).toHaveLength(2);
    expect(report.ways[0].stages.at(-1)).toMatchObject({ part: 'cable', is: 'converter' });
    expect(report.plan).toMatchObject({ target: -12, settings: [] });
    expect(report.presets.map(({ preset }: { preset: string }) => preset)).toEqual([
      'usual',
      'room',
      'hot-source',
      'quiet-source',
    ]);
  });

  it('aims where it is told, in words and as CSV', () => {
    expect(symplex('levels', rig, '--target', '-18').stdout).toContain('peaks at -18 dBFS');
    const rows = symplex('levels', rig, '--csv').stdout.trim().split('\n');
    expect(rows[0]).toMatch(/^source,recorder,part,stage,RMS dBV/);
    expect(rows.length).toBeGreaterThan(10);
  });

  it.each([
    ['3', /--target takes dBFS from -60 to 0, not 3/],
    ['loud', /not loud/],
    ['-300', /not -300/],
  ])('refuses a target of %s in one line', (target, message) => {
    const { status, stderr } = symplex('levels', rig, '--target', target);
    expect(status).toBe(2);
    expect(stderr.trim()).toMatch(message);
    expect(stderr.trim()).not.toContain('\n');
  });
});
