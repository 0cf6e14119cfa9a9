// Before the first paint, so that a dark room never flashes white.
(() => {
  const chosen = localStorage.getItem('wrenfern-theme');
  const dark = chosen ? chosen === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.classList.toggle('dark', dark);
})();
