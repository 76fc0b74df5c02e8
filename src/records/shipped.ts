/** The second door: what of the records reads the shipped library, so that opening the app does not wait for it. */
export { takeDressings } from './dressing/take';
