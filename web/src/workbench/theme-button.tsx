import { Moon, Sun } from 'lucide-react';
import { useState } from 'react';
import { setTheme, theme } from '../client/theme.ts';

/** Layout paper by day, night shop by dark. */
export function ThemeButton() {
  const [now, setNow] = useState(theme);
  const next = now === 'night' ? 'day' : 'night';
  return (
    <button
      type="button"
      className="button px-2"
      aria-label={next === 'night' ? 'Night shop: dark' : 'Layout paper: light'}
      onClick={() => {
        setTheme(next);
        setNow(next);
      }}
    >
      {next === 'night' ? <Moon size={16} /> : <Sun size={16} />}
    </button>
  );
}
