import { Maximize2, ZoomIn, ZoomOut } from 'lucide-react';
import { still } from '../ui/still.ts';

interface ZoomButtonsProps {
  readonly zoomed: boolean;
  readonly onZoom: (factor: number) => void;
  readonly onFit: () => void;
}

/** Closer, farther, and back to the whole frame. */
export const ZoomButtons = still(function ZoomButtons({ zoomed, onZoom, onFit }: ZoomButtonsProps) {
  return (
    <>
      <button
        type="button"
        className="button bg-paper px-2"
        aria-label="Zoom out"
        disabled={!zoomed}
        onClick={() => onZoom(1 / 1.5)}
      >
        <ZoomOut size={16} />
      </button>
      <button type="button" className="button bg-paper px-2" aria-label="Zoom in" onClick={() => onZoom(1.5)}>
        <ZoomIn size={16} />
      </button>
      <button
        type="button"
        className="button bg-paper px-2"
        aria-label="Show the whole frame"
        disabled={!zoomed}
        onClick={onFit}
      >
        <Maximize2 size={16} />
      </button>
    </>
  );
});
