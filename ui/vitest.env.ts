/** Tests run in Node, but code is compiled as for the browser: there effects run. */
export default {
  name: 'client',
  viteEnvironment: 'client',
  setup: () => ({ teardown: () => {} }),
};
