import '@fontsource-variable/fraunces/soft.css';
import '@fontsource-variable/atkinson-hyperlegible-next';
import './app/styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/app.tsx';
import { askForToday } from './data/use-class-cards.ts';

if (window.location.pathname === '/') askForToday();

const root = document.getElementById('root');
if (!root) throw new Error('the page has no #root');
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
