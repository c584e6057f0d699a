interface SwatchProps {
  readonly fill?: string;
  readonly stroke: string;
  readonly dash?: string;
}

/** A patch of a fill or a line, for the legend. */
export const Swatch = ({ fill = 'none', stroke, dash }: SwatchProps) => (
  <rect x={1} y={2} width={24} height={10} fill={fill} stroke={stroke} strokeDasharray={dash} strokeWidth={1.4} />
);
