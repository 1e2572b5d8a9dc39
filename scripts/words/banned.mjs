/**
 * Words that texts do not use, with what is written instead. They are figures of speech or translations where the trade has a word, fillers,
 * or second words for one thing (docs/language.md is the glossary).
 */
export const banned = [
  [/\bnought\b/i, 'zero, 0'],
  [/\btyped\b|(?:^|[.;:] )Type (?!\w+$)/, 'entered, enter'],
  [/(?:^|[.;:] )Say\b|\bsaid\b/, 'enter, given'],
  [/(?:^|[.;:] )Let\b/, 'an imperative of the trade'],
  [/\bhand(?:s|ed|ing)? (?:it |its load |all of it )?(?:on|over)\b/, 'transfer, export'],
  [/\b(?:[Tt]aken?|[Tt]akes|[Tt]ook) (?:it |them )?(?:away|back|off|out)\b/, 'delete, undo, deduct, remove'],
  [/\b(?:[Pp]ut|[Ll]et|[Bb]ring) (?:it |them )?(?:away|go|back|in)\b/, 'close, cancel, delete, restore, import'],
  [/\btakes? (?:the|half|all|no|too much|its)\b/, 'carries, resists'],
  [/\blands\b|\blanded\b/, 'is applied to'],
  [/\b[Ss]tands?\b(?! without)|\bstood\b/, 'is, is supported by'],
  [/\blies?\b(?! in)|\blying\b/, 'is'],
  [/\bown weight\b/i, 'self-weight'],
  [/\bstiff elements?\b/i, 'lateral element'],
  [/\bwall surfaces?\b/i, 'pressure surface'],
  [/\bbent (?:beam|member)s?\b/i, 'cranked or curved beam'],
  [/\bin space\b/i, '3D, secondary member'],
  [/\bsets? of values\b/i, 'value set'],
  [/\bown (?:table|value|reduction)s?\b/i, 'project table, project value'],
  [/(?<!at |At )\bleast\b/i, 'min, minimum'],
  [/\bmost (?:and|or) least\b|, most\b|\bmost,/i, 'max, maximum'],
  [/\bsquare to\b|\baskew\b|\baside\b/i, 'normal to, skew, offset'],
  [/\bpick(?:s|ed|ing)?\b/i, 'select'],
  [/\bOne moment\b/, 'Loading …'],
  [/\bthings?\b/i, 'object'],
  [/\b[Nn]obody\b|\bwho\b/, 'a noun of the trade'],
  [/\bby itself\b|\bby themselves\b/, 'automatically'],
  [/\balone\b/, 'only'],
  [/\belse\b/, 'otherwise, or the noun'],
  [/\bhere\b/, 'leave it out'],
  [/\bdoes not answer\b/, 'is not responding'],
  [/\bpush(?:es|ed)?\b/, 'thrust, horizontal force'],
  [/\bpress(?:es|ed)? on\b/, 'pressure'],
  [/\bbears?\b|\bspared?s?\b/, 'carries, excludes'],
  [/\bwhole\b(?! number)/, 'unreduced, full'],
  [/(?<!one-|two-|One-|Two-)\bway\b/, 'direction'],
  [/(?<!in )\bplaces?\b(?! of worship)/, 'position, point'],
  [/\b(?:can|do|is|does|are|has|have|would|could|should)n[’']t\b|\bit[’']s\b/i, 'no contractions'],
  [/\bkN\/m2\b|\bm2\b|\bKN\b|\bN\/mm2\b/, 'kN/m², m²'],
  [/(?<![A-Za-z])(\p{L}{2,}) \1\b/u, 'a word twice'],
  [/\b[Aa]n [bcdfgjklmnpqrstvwxyz][a-z]{2,}/, 'a'],
]

/** Texts that use such a word rightly, by a part of the text, with the reason. */
export const exceptions = [
  ['self-weight, own weight', 'what the glossary says of the UK'],
  ['DIN EN 1991-1-4/NA NA.B.3.3', 'a clause of the German National Annex'],
]

/** Words with a capital within a sentence: steps, keys, commands, names of standards and places. Any other one is not sentence case. */
export const capitals = new Set([
  ...['Basis', 'Building', 'Actions', 'Paths', 'Combinations', 'Envelopes', 'Handover'],
  ...['Enter', 'Shift', 'Ctrl', 'Escape', 'Undo', 'Find', 'Show'],
  ...['Annex', 'Eurocode', 'Eurocodes', 'Standards', 'Host', 'Roof'],
  // towns and hills of the invented district
  ...['Aldermere', 'End', 'Quern', 'Fell', 'Ridge', 'Down', 'Library', 'Workshop', 'Town', 'Council'],
])
