import { Moon, Sun } from 'lucide-react';
import { useEffect, useState } from 'react';
import { THEME_SWITCH_TEXT } from '@which-way/words/screens/controls/frame/theme-switch';

type Theme = 'light' | 'dark';

function startTheme(): Theme {
  const kept = localStorage.getItem('theme');
  if (kept === 'light' || kept === 'dark') return kept;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

/** Light for a bright workshop, dark for a dim one; remembered in this browser. */
export function ThemeSwitch() {
  const [theme, setTheme] = useState<Theme>(startTheme);
  useEffect(() => {
    document.documentElement.dataset['theme'] = theme;
  }, [theme]);
  const other = theme === 'light' ? 'dark' : 'light';
  return (
    <button
      type="button"
      aria-label={THEME_SWITCH_TEXT.changeToTheTheme(other)}
      className="flex size-12 items-center justify-center rounded-part text-on-enamel hover:bg-enamel-lift"
      onClick={() => {
        localStorage.setItem('theme', other);
        setTheme(other);
      }}
    >
      {theme === 'light' ? <Moon aria-hidden="true" /> : <Sun aria-hidden="true" />}
    </button>
  );
}
