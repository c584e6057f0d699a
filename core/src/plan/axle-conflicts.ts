import { quantityText } from '../units/index.ts';
import { advise, type Finding, NOWHERE } from './conflict.ts';
import type { Finder } from './findings.ts';

/** Axles that would carry more than they may with the body on, or nothing at all. */
export const axleLoads: Finder = ({ laden, axles, frame }, { display }) =>
  laden === null
    ? []
    : (['front', 'rear'] as const).flatMap((role): Finding[] => {
        const { load, rating } = laden[role];
        const axle = axles.find(({ item }) => item.role === role);
        const mass = (kg: number) => quantityText('mass', kg, display.unit);
        const at = {
          ...NOWHERE,
          donorX: axle?.donor.x ?? null,
          builtX: axle?.built?.x ?? null,
          about: axle?.item.id ?? null,
        };
        const several = frame.axles.filter((item) => item.role === role).length > 1;
        const name = `the ${role} ${several ? 'axles' : 'axle'}`;
        if (load < 0)
          return [
            {
              ...at,
              code: 'axle-lifts',
              severity: 'stop',
              message: `With the body and its load ${name} would lift off the ground.`,
              fixes: advise('Check where the masses of the body balance.', 'Bring the load nearer to the middle.'),
            },
          ];
        if (rating === null || load <= rating) return [];
        return [
          {
            ...at,
            code: 'axle-overloaded',
            severity: 'warn',
            message: `With the body and its load ${name} would carry ${mass(load)}, ${mass(load - rating)} over the rating.`,
            fixes: advise(
              'Carry less, or carry it nearer to the other axle.',
              'Weigh the truck axle by axle before it is used: these are levers on entered masses.',
            ),
          },
        ];
      });
