import { RULE_IDS, type Rulebook, type RuleSet, type RuleSetVersion } from '@splay/core';
import { beforeEach, expect, it, vi } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { fireEvent, render, screen, waitFor } from '../../test/page.ts';
import { ABOUT } from './rulebook-dialog.tsx';
import { RuleSets } from './rule-sets.tsx';
import { RulesNotice } from './rules-notice.tsx';

const api = vi.hoisted(() => ({
  ruleSets: vi.fn<() => Promise<unknown>>(),
  keepRuleSet: vi.fn<(name: string, rules: object, why: string) => Promise<unknown>>(),
  addRuleVersion: vi.fn<(set: string, basedOn: number, rules: object, why: string) => Promise<unknown>>(),
}));
vi.mock('../client/api.ts', () => ({ api }));

const { job } = demoJob('orchard-sprayer');
const version = (count: number, hours: number): RuleSetVersion => ({
  version: count,
  rules: { profile: 'weld-and-reinforce', changes: { 'finder/cab': hours } },
  by: 'Wren',
  at: '2026-03-01T08:00:00.000Z',
  why: `${hours} hours on the last job.`,
});
const set: RuleSet = { id: 'set', name: 'House rules', versions: [version(2, 6), version(1, 5)] };
const goesBy = (count: number, changes: Rulebook['changes'] = { 'finder/cab': 5 }) => ({
  ...job,
  rules: { profile: 'weld-and-reinforce' as const, changes, from: { set: 'set', name: 'House rules', version: count } },
});
const press = (name: RegExp | string) => fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

beforeEach(() => {
  api.ruleSets.mockReset().mockResolvedValue({ ok: true, value: [set] });
  api.keepRuleSet.mockReset();
  api.addRuleVersion.mockReset();
});

it('every rule stands in a chapter of the rulebook', () => {
  expect(RULE_IDS.filter((id) => !(id.split('/')[0]! in ABOUT))).toEqual([]);
});

it('says that the shop has newer rules, what changed and why, and takes them over with the job’s own', async () => {
  const onRules = vi.fn();
  render(<RuleSets job={goesBy(1, { 'finder/cab': 5, 'finder/bed': 9 })} canWrite onRules={onRules} />);
  const news = await screen.findByRole('status');
  expect(news.textContent).toMatch(/“House rules” is at version 2/);
  expect(news.textContent).toMatch(/5\sh\s→\s6\sh/);
  press(/Go by version 2, keeping this job’s own rules/);
  expect(onRules).toHaveBeenCalledWith('Rules of “House rules”, version 2', {
    profile: 'weld-and-reinforce',
    changes: { 'finder/cab': 6, 'finder/bed': 9 },
    from: { set: 'set', name: 'House rules', version: 2 },
  });
});

it('keeps rules as the next version, only with a reason, and says what the server says', async () => {
  const onRules = vi.fn();
  render(<RuleSets job={goesBy(2, { 'finder/cab': 7 })} canWrite onRules={onRules} />);
  await screen.findByText('Keep these rules for other jobs');
  press(/Make them version 3/);
  expect(screen.getByRole('alert').textContent).toMatch(/Say why/);
  expect(api.addRuleVersion).not.toHaveBeenCalled();
  api.addRuleVersion.mockResolvedValueOnce({ ok: false, detail: 'Somebody made a newer version.', problems: [] });
  type('Why', 'seven hours');
  press(/Make them version 3/);
  expect(await screen.findByText('Somebody made a newer version.')).toBeTruthy();
  api.addRuleVersion.mockResolvedValueOnce({ ok: true, value: version(3, 7) });
  press(/Make them version 3/);
  await waitFor(() => expect(onRules).toHaveBeenCalled());
  expect(api.addRuleVersion.mock.calls.at(-1)).toEqual([
    'set',
    2,
    { profile: 'weld-and-reinforce', changes: { 'finder/cab': 7 } },
    'seven hours',
  ]);
});

it('keeps rules as a new set, which the job then goes by', async () => {
  const onRules = vi.fn();
  render(<RuleSets job={job} canWrite onRules={onRules} />);
  await screen.findByText('Keep these rules for other jobs');
  type('Why', 'how we do it');
  press('Keep as a new set');
  expect(screen.getByRole('alert').textContent).toMatch(/Name the rule set/);
  type('Name of a new rule set', 'Light trucks');
  const made: RuleSet = { id: 'new', name: 'Light trucks', versions: [version(1, 5)] };
  api.keepRuleSet.mockResolvedValueOnce({ ok: true, value: made });
  press('Keep as a new set');
  await waitFor(() => expect(onRules).toHaveBeenCalled());
  expect(onRules.mock.calls[0]![1]).toMatchObject({ from: { set: 'new', version: 1 } });
});

it('a job at the newest version is told nothing; an older one is, wherever it is open', async () => {
  const { unmount } = render(<RulesNotice job={goesBy(2)} onOpen={() => undefined} />);
  await waitFor(() => expect(api.ruleSets).toHaveBeenCalled());
  expect(screen.queryByRole('status')).toBeNull();
  unmount();
  const onOpen = vi.fn();
  render(<RulesNotice job={goesBy(1)} onOpen={onOpen} />);
  expect((await screen.findByRole('status')).textContent).toMatch(/planned under version 1/);
  press('See what changed');
  expect(onOpen).toHaveBeenCalled();
});
