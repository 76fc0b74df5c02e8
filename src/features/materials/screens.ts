export { BlendScreen } from './blend-screen';
export { MaterialsScreen } from './materials-screen';
export { ShoppingScreen } from './shopping-screen';
export { ShadeBookScreen } from './shade-book';
export { ThreadsScreen } from './threads-screen';
