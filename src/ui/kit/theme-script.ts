/** Where the theme is kept on the device. */
export const THEME_KEY = "lumbet-theme";
/** Runs before the first paint: takes the kept theme, else that of the system. */
export const themeScript = `try{var t=localStorage.getItem("${THEME_KEY}");document.documentElement.dataset.theme=t||(matchMedia("(prefers-color-scheme: dark)").matches?"dark":"light")}catch(e){}`;
