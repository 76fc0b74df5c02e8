export { HooksScreen } from './hooks-screen';
export { ModelScreen } from './model-screen';
