const { TestEnvironment } = require('jest-environment-jsdom')

/** A page for unit tests of what is on screen: jsdom with what browsers have and it lacks. */
module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup()
    const page = this.global
    const { TextEncoder, TextDecoder, structuredClone, crypto, fetch, Request, Response, Headers } =
      globalThis
    Object.assign(page, { TextEncoder, TextDecoder, structuredClone, fetch, Request, Response, Headers })
    Object.defineProperty(page, 'crypto', { value: crypto, configurable: true })
    Object.defineProperty(page.navigator, 'locks', {
      value: { request: (_name, _options, work) => work() },
      configurable: true,
    })
    page.ResizeObserver = class {
      observe() {}
      unobserve() {}
      disconnect() {}
    }
    // What a page without a layout has nothing to say to.
    page.HTMLCanvasElement.prototype.getContext = () => null
    const { click } = page.HTMLElement.prototype
    page.HTMLAnchorElement.prototype.click = function () {
      if (!this.hasAttribute('download')) click.call(this)
    }
    page.Element.prototype.scrollIntoView = () => undefined
    const { getComputedStyle } = page
    page.getComputedStyle = (element) => getComputedStyle(element)
    const read = (how) =>
      function () {
        return new Promise((resolve) => {
          const reader = new page.FileReader()
          reader.onload = () => resolve(reader.result)
          reader[how](this)
        })
      }
    page.Blob.prototype.text = read('readAsText')
    page.Blob.prototype.arrayBuffer = read('readAsArrayBuffer')
  }
}
