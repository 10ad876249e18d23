export { comparisonMarkdown } from './markdown.js';
export { comparisonPage, type ComparedPictures } from './page.js';
export { comparisonCounts, nameOfPage, toldComparison, type Moved, type ToldComparison } from './told.js';
