import { TestEnvironment } from 'jest-environment-jsdom';

/** jsdom with what it lacks copied from Node; message channels are left out, or Jest would never exit. */
export default class BrowserLike extends TestEnvironment {
  async setup() {
    await super.setup();
    const names = [
      'TextEncoder',
      'TextDecoder',
      'fetch',
      'Response',
      'Request',
      'Headers',
      'structuredClone',
      'ReadableStream',
    ];
    for (const name of names) this.global[name] ??= globalThis[name];
    this.global.ResizeObserver ??= class {
      observe() {}
      unobserve() {}
      disconnect() {}
    };
    this.global.Element.prototype.scrollIntoView ??= () => undefined;
    this.global.Element.prototype.getAnimations ??= () => [];
    this.global.HTMLCanvasElement.prototype.getContext = () => null;
  }
}
