import '@testing-library/jest-dom';

/** jsdom lays nothing out: every element is as wide as a phone, and says so once. */
const PHONE_PX = 390;

class Observer {
  constructor(private readonly seen: (entries: { target: Element }[]) => void) {}
  observe(target: Element) {
    setTimeout(() => this.seen([{ target }]), 0);
  }
  unobserve() {}
  disconnect() {}
}

Object.assign(window, { ResizeObserver: Observer });
Object.defineProperty(HTMLElement.prototype, 'offsetWidth', { configurable: true, get: () => PHONE_PX });
