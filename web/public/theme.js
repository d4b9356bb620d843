// before the first paint, so that the page never flashes in the other theme
(() => {
  const kept = localStorage.getItem("handy-frame:theme");
  const dark = kept ? kept === "dark" : matchMedia("(prefers-color-scheme: dark)").matches;
  document.documentElement.dataset.theme = dark ? "dark" : "light";
})();
