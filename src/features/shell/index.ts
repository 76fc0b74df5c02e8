export { AppRoot } from './app-root';
export { Measured } from './measured';
export { Missing } from './missing';
export { Page, PageHeading, useTitle } from './page';
export { CautionOfTheDay } from './caution-of-the-day';
export { Shell, useRedLamp, useThumb, useValleyTime, useWide } from './shell';
export { SpeechProvider, useSpeech, useWords } from './speech-context';
export { useNewMatch } from './use-new-match';
export { useWidth } from './use-width';
