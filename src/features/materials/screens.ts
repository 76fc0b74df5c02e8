export { BlendScreen } from './blend-screen';
export { MaterialsScreen } from './materials-screen';
