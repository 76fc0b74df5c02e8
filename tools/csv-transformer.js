const upstream = require('@expo/metro-config/babel-transformer');

/** Metro: a .csv file becomes a module whose export is its text. */
module.exports.transform = (props) =>
  upstream.transform(
    props.filename.endsWith('.csv')
      ? { ...props, filename: `${props.filename}.js`, src: `module.exports = ${JSON.stringify(props.src)};` }
      : props,
  );
