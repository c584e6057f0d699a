import { otherQuantityText, type LengthUnit, type QuantityKind, quantityText } from '@splay/core';

interface QuantityProps {
  readonly of: QuantityKind;
  readonly value: number;
  readonly unit: LengthUnit;
}

/** A mass, a modulus, a moment or a stress as a shop of this unit calls it, and the other way on hover. */
export const Quantity = ({ of, value, unit }: QuantityProps) => (
  <span className="whitespace-nowrap" title={otherQuantityText(of, value, unit)}>
    {quantityText(of, value, unit)}
  </span>
);

interface MassOfProps {
  readonly kg: number;
  readonly rating: number | null;
  readonly unit: LengthUnit;
}

/** A mass, and what of it is allowed where that is known: `4100 lb of 5000 lb`. */
export const MassOf = ({ kg, rating, unit }: MassOfProps) => (
  <>
    <Quantity of="mass" value={kg} unit={unit} />
    {rating !== null && (
      <>
        {' of '}
        <Quantity of="mass" value={rating} unit={unit} />
      </>
    )}
  </>
);
