/** An installed Chromium, started the same way by all scripts that ask it. */
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { chromium, type Browser } from 'playwright-core';

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];
const FLAGS =
  '--no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking --disable-component-update --disable-sync --font-render-hinting=none --enable-font-subpixel-positioning --allow-file-access-from-files';
/** Where it is there, the fonts are those the engine's tables hold and no others. */
const FONTS = '../shared/conformance/oracle/fonts.conf';

/** Null where no Chromium is installed. */
export async function launch(): Promise<Browser | null> {
  const executablePath = PLACES.find((path) => existsSync(path));
  if (!executablePath) return null;
  const env = { ...process.env, ...(existsSync(FONTS) ? { FONTCONFIG_FILE: resolve(FONTS) } : {}) };
  return chromium.launch({ executablePath, args: FLAGS.split(' '), env: env as Record<string, string> });
}

/** Throws where no Chromium is installed. */
export async function launched(): Promise<Browser> {
  const browser = await launch();
  if (!browser) throw new Error('no Chromium is installed here: install chromium and fonts-liberation');
  return browser;
}
