/** Stands in for style sheets, which unit tests do not look at. */
export default {};
