// Runs before the first paint, so that a dark room does not flash white.
(function () {
  var chosen = null;
  try {
    chosen = JSON.parse(localStorage.getItem('cimbel.theme'));
  } catch {
    // Storage may be closed to us or hold something else; then the system decides.
  }
  var dark = chosen ? chosen === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = dark ? 'dark' : 'light';
})();

// The content policy forbids making code from text. The schema library tries that for speed as soon as a schema is made,
// which is before any module of ours runs; this is its own switch for it.
globalThis.__zod_globalConfig = { jitless: true };
