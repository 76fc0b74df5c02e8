const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);
config.transformer.babelTransformerPath = require.resolve('./tools/csv-transformer.js');
config.resolver.sourceExts.push('csv');

const OURS = {
  culori: require.resolve('./tools/web-culori.js'),
  [config.transformer.asyncRequireModulePath]: require.resolve('./tools/web-async-require.js'),
};
config.resolver.resolveRequest = (context, name, platform) =>
  context.resolveRequest(context, OURS[name] ?? name, platform);

module.exports = withNativeWind(config, { input: './src/global.css' });
