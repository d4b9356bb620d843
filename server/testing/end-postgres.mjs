export default () => globalThis.testPostgres?.stop();
