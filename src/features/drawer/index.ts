export { HooksScreen, ModelScreen } from './hooks-screen';
