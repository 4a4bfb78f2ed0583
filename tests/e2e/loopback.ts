import { test as base } from '@playwright/test';

/** Every browser test runs under this: a request that would leave this machine is stopped, and fails the test. */
export const test = base.extend<{ loopback: string[] }>({
  loopback: [
    async ({ context }, use) => {
      const left: string[] = [];
      await context.route(
        (url) => !['127.0.0.1', 'localhost', '[::1]'].includes(url.hostname),
        (route) => {
          left.push(route.request().url());
          return route.abort();
        }
      );
      await use(left);
      if (left.length) throw new Error(`Requests left the origin: ${left.join(', ')}`);
    },
    { auto: true }
  ]
});
export { expect } from '@playwright/test';
