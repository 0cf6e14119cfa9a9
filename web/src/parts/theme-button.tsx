import { Moon, Sun } from 'lucide-react';
import { IconButton } from './icon-button.tsx';
import { useTheme } from './theme.ts';

/** From light to dark and back. */
export function ThemeButton() {
  const { dark, toggle } = useTheme();
  return (
    <IconButton label={dark ? 'Light theme' : 'Dark theme'} onClick={toggle}>
      {dark ? <Sun size={18} aria-hidden /> : <Moon size={18} aria-hidden />}
    </IconButton>
  );
}
