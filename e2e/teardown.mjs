export default () => globalThis.endOfTests?.();
