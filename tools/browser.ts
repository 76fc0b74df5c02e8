/**
 * Every window of a full Chromium starts a page of its own interface beside ours, which takes as much work as ours does.
 * The switch replaces the list of the same name that Playwright gives, so what a page behaves by is named again.
 */
const FEATURES =
  '--disable-features=WebUIOmniboxPopup,WebUIOmniboxAimPopup,WebUIOmniboxFullPopup,AvoidUnnecessaryBeforeUnloadCheckSync,DestroyProfileOnBrowserClose,HttpsUpgrades,HttpsFirstBalancedModeAutoEnable,LensOverlay,MediaRouter,PaintHolding,ThirdPartyStoragePartitioning,OptimizationHints,NetworkTimeServiceQuerying,AimEnabled';

/** Debian's Chromium as every script and browser test starts it. */
export const CHROMIUM = {
  executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    FEATURES,
  ],
};
