/** Jest's stand-in for Vite's `?url`: a module that exports where the file lies. */
export default {
  process: (_source, path) => ({ code: `module.exports = { __esModule: true, default: ${JSON.stringify(path)} };` }),
};
