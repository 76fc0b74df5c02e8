const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);
config.transformer.babelTransformerPath = require.resolve('./tools/csv-transformer.js');
config.resolver.sourceExts.push('csv');

module.exports = withNativeWind(config, { input: './src/global.css' });
