/**
 * Fills that say what a stretch of steel is without its color: new steel leans forward, steel cut away leans back.
 * Once on a page: every drawing on it, large or small, fills from here.
 */
export function Hatches() {
  return (
    <svg width={0} height={0} className="absolute" aria-hidden="true">
      <defs>
        <pattern id="hatch-new" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <rect width="7" height="7" fill="var(--color-layout-wash)" />
          <path d="M0 0V7" stroke="var(--color-layout)" strokeWidth="2" />
        </pattern>
        <pattern id="hatch-cut" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="var(--color-oxide-wash)" />
          <path d="M0 0V6" stroke="var(--color-oxide)" strokeWidth="1.6" />
        </pattern>
        <pattern id="hatch-boxed" width="4" height="4" patternUnits="userSpaceOnUse">
          <path d="M0 4L4 0" stroke="var(--color-graphite)" strokeWidth="0.7" />
        </pattern>
      </defs>
    </svg>
  );
}
