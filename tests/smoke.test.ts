import { boxOf, styled } from './support/page.js';
test('x', () => { expect(boxOf(styled('body{margin:8px} p{margin:0;height:20px}', '<p>a</p>'), 'p')).toEqual([8, 8, 784, 20]); });
