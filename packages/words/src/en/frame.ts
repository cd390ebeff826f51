import type { Catalogue } from '@even-tally/core';

export const frame: Catalogue['frame'] = {
  notched: 'units notched round posts',
  'notched-formula': 'every unit that meets a post, course by course',
  relief: 'relief cuts',
  'relief-formula': 'saw cuts across each notch, at its ends and between',
  'relief-apart': 'one cut from the next',
  fill: 'mud round the posts',
  'fill-formula':
    'what is cut out, less the post in it, course by course; rammed in from behind as they come up',
  room: 'room left round a post',
  ties: 'ties to the posts',
  'ties-formula': 'posts × beds they are tied in',
  posts: 'posts',
  courses: 'courses',
  'as-laid': 'as it is laid',
  practice: 'common practice',
  'tie-every': 'courses from tie to tie',
  notches: 'Notches',
  'notches-none': 'No unit meets a post.',
  post: 'Post',
  course: 'Course',
  unit: 'Unit',
  'cut-out': 'Cut out',
  'is-left': 'Thinnest part left',
  'relief-cuts': 'Relief cuts',
  'cut-is': '{wide} × {deep} in',
  'left-is': '{least}',
  'nothing-left': 'nothing: left out',
  'thin-ears':
    '{post}: {count, plural, one {# unit is} other {# units are}} left with an ear of {least}. Under {most} it breaks off in the hand or at the first knock.',
  'stand-so':
    'Stand {post} {side, select, as_it_is {} inside {flush with the inside} outside {flush with the outside} other {}}{moved, select, yes { {by} along from where it is} other {}}',
  'leave-under-beam':
    'Earth settles as it dries: leave about {leave} under the beam, and close it with something soft when the wall has dried. Fill behind the posts as the courses come up, not afterwards. Whether the frame stands is for local code and licensed people.',
  'fills-not-bears':
    'This wall is said to bear the roof, and has posts in it. Between posts that bear it only fills.',
  'bears-none': 'It bears nothing: the posts do',
};
