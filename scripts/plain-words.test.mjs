import { describe, expect, it } from 'vitest';
import { Linter } from 'eslint';
import { plainWords, unwritten } from './lib/plain-words.mjs';

const linted = (code, filename = 'a.js') =>
  new Linter()
    .verify(code, [{ plugins: { words: { rules: { plain: plainWords } } }, rules: { 'words/plain': 'error' } }], {
      filename,
    })
    .map(({ message }) => message);

describe('words that are not written here', () => {
  it('are found in names, text, comments and the names of files, with what to write instead', () => {
    expect(linted('export const tyreRadius = 1;')).toEqual(['Write “tire”, not “tyre”.']);
    expect(linted("export const a = 'The Centre of it';")).toEqual(['Write “center”, not “Centre”.']);
    expect(linted('/* Reckoned by levers. */')).toEqual(['Write “calculated”, not “Reckoned”.']);
    expect(linted('export const a = `${1} colours`;')).toEqual(['Write “colors”, not “colours”.']);
    expect(linted('', 'tyre-box.js')).toEqual(['Write “tire”, not “tyre”.']);
  });

  it('are whole words: not parts of others, nor keys of stored jobs', () => {
    expect(unwritten('percentres fateful gearbox-mount center')).toBeNull();
    expect(unwritten('gearbox mount')).toEqual({ word: 'gearbox', instead: 'transmission' });
  });
});
