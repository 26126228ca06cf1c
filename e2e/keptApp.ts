import { test } from '@playwright/test';

/** A journey on a device that keeps the app, as every one does in earnest: it opens without a signal. */
export const withKeptApp = test.extend({ serviceWorkers: 'allow' });
