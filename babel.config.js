module.exports = (api) => {
  api.cache(true);
  return {
    presets: [['babel-preset-expo', { jsxImportSource: 'nativewind' }], 'nativewind/babel'],
    // Jest's sandbox has no modules that come later.
    env: { test: { plugins: ['@babel/plugin-transform-dynamic-import'] } },
  };
};
