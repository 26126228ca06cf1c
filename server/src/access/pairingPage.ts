import { createHash } from 'node:crypto';

/** The app's own colours, rim and sizes; the page needs nothing else of it. */
const STYLE = `
  :root { color-scheme: light; }
  body { margin: 0; background: #E9EEE8; color: #14203A; font: 18px/1.45 system-ui, sans-serif; }
  main { max-width: 24rem; margin: 0 auto; padding: 2rem 1.25rem; }
  h1 { font-size: 1.6rem; margin: 0 0 .5rem; }
  label { display: block; margin: 1.25rem 0 .35rem; font-weight: 700; }
  input { box-sizing: border-box; width: 100%; min-height: 52px; padding: 0 .8rem; font: inherit; color: inherit;
    background: #FBFCFA; border: 2px solid #6C7A8C; border-radius: 10px; }
  input:focus-visible, button:focus-visible { outline: 3px solid #1D3F8F; outline-offset: 2px; }
  button { margin-top: 1.5rem; width: 100%; min-height: 56px; font: inherit; font-weight: 700; color: #FFFFFF;
    background: #1D3F8F; border: 0; border-radius: 10px; }
  [role=alert] { margin-top: 1rem; font-weight: 700; min-height: 1.5em; }
`;

const SCRIPT = `
  const form = document.querySelector('form'), said = document.querySelector('[role=alert]');
  const code = document.querySelector('#code'), name = document.querySelector('#name');
  if (location.hash.length > 1) {
    code.value = decodeURIComponent(location.hash.slice(1));
    history.replaceState(null, '', location.pathname);
    name.focus();
  }
  form.addEventListener('submit', async (event) => {
    event.preventDefault();
    said.textContent = '';
    const told = code.value.trim();
    const isCode = /^[0-9A-Za-z]{4}[\\s-]?[0-9A-Za-z]{4}$/.test(told);
    try {
      const reply = await fetch('/api/pair', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ name: name.value.trim() || 'Phone', ...(isCode ? { code: told } : { passphrase: code.value }) }),
      });
      if (reply.ok) return location.replace('/');
      const { error } = await reply.json();
      said.textContent = error.message;
    } catch {
      said.textContent = 'The kitchen does not answer. Is this phone in its network?';
    }
  });
`;

/** What a device sees that was never let in: where to type or bring the code. */
export const PAIRING_PAGE = `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex">
<title>Hoddle: let this device in</title>
<style>${STYLE}</style>
</head>
<body>
<main>
<h1>Let this device in</h1>
<p>A device that is in already shows a code: Bench, Who comes in. So does the terminal: <code>npm run pair</code>.</p>
<form>
<label for="code">Code, or the household’s passphrase</label>
<input id="code" name="code" autocomplete="off" autocapitalize="characters" spellcheck="false" required maxlength="128">
<label for="name">What this device is called</label>
<input id="name" name="name" autocomplete="off" maxlength="40" placeholder="Phone">
<button>Come in</button>
<p role="alert"></p>
</form>
</main>
<script>${SCRIPT}</script>
</body>
</html>
`;

const sumOf = (text: string) => `'sha256-${createHash('sha256').update(text).digest('base64')}'`;

/** Nothing but its own style and script runs on it. */
export const PAIRING_POLICY = [
  "default-src 'none'",
  "connect-src 'self'",
  `style-src ${sumOf(STYLE)}`,
  `script-src ${sumOf(SCRIPT)}`,
  "form-action 'none'",
  "base-uri 'none'",
  "frame-ancestors 'none'",
].join('; ');
