import { LANES, RULE_WORDS, hoursText } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { pickedOf, useFinding } from '../../client/finding.ts';
import { PanelHeading } from '../../ui/panel.tsx';

/** What the option that is looked at costs, part by part, each with the rule that says so. */
export function CostsDrawer({ store }: BenchProps) {
  const finding = useFinding(store);
  const picked = pickedOf(finding);
  if (!picked || !finding.found) return <p className="p-4 text-pencil">No option is looked at yet.</p>;
  const { costs, hours, weighed } = picked.judged;
  const rank = finding.found.answers.indexOf(picked) + 1;
  const parts = [
    ['Work', costs.filter(({ counts }) => counts === 'work'), hours],
    ['Weighed as hours', costs.filter(({ counts }) => counts === 'weighed'), weighed],
  ] as const;
  return (
    <div className="p-4">
      <p className="mb-2">
        CutOption {rank}: {picked.says}
      </p>
      {parts.map(([name, all, sum]) => (
        <section key={name}>
          <PanelHeading aside={<b>{hoursText(sum)}</b>}>{name}</PanelHeading>
          <table className="w-full text-sm">
            <caption className="sr-only">{name}, part by part</caption>
            <tbody>
              {all.map(({ code, about, says, hours: each, lane, rule }) => (
                <tr key={`${code}${about}${says}`} className="border-b border-rule/60 align-top">
                  <td className="figures w-16 py-1 pr-3 font-semibold">{each.toFixed(2)}</td>
                  <th scope="row" className="py-1 pr-3 text-left font-normal">
                    {says.charAt(0).toUpperCase() + says.slice(1)}
                  </th>
                  <td className="py-1 pr-3 text-pencil">{LANES[lane]}</td>
                  <td className="py-1 text-pencil">{RULE_WORDS[rule].title}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ))}
      <p className="mt-3 max-w-3xl text-sm text-pencil">
        Hours of work and what is weighed as hours are rules of the rulebook, each with its reason; change them there,
        and look again. Bending is by levers from what is weighed in, standing still: a picture of where the rail works
        hardest, not its strength.
      </p>
    </div>
  );
}
