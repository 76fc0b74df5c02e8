export { DemoCalliper } from './demo-calliper';
export { SAMPLE_PHOTOS, SamplePhotos } from './sample-photos';
