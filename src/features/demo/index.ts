export { demoLogger } from './demo-logger';
export { DemoCalliper } from './demo-calliper';
export { SAMPLE_PHOTOS, SampleFly, SamplePhotos } from './sample-photos';
