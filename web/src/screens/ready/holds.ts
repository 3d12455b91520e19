import type { Schemas } from '../../api/client'

/** A dog in lines, facing right, its right side towards us; a left paw is the mirror image. */
export interface Pose {
  body: string
  /** Where the head is and how far it is turned, degrees. */
  head: [number, number, number]
  /** What the dog stands or lies on, and who holds it. */
  ground: string
  /** The legs that are left alone. */
  legs: string[]
  /** The held leg, fore and hind, from the trunk to the foot: the limb in its natural line. */
  fore: string
  hind: string
}

const trunk = 'M26 34 C32 24 84 24 92 30 C96 36 92 46 84 46 L38 46 C28 46 22 42 26 34 Z'
const tail = 'M26 34 C16 30 12 22 12 16'
const neck = 'M80 32 C86 28 92 20 96 14 L105 22 C101 28 96 34 92 38 Z'

/** A head that looks right: skull, muzzle and a hanging ear, about its own middle. */
export const head =
  'M-6 -4 C-4 -8 2 -8 4 -5 L13 -1 C15 1 14 4 11 4 L3 5 C-2 7 -7 3 -6 -4 Z M-4 -5 C-8 -3 -9 3 -7 7 C-4 6 -2 1 -2 -4'
const standing: Pose = {
  body: `${trunk} ${tail} ${neck}`,
  head: [103, 16, 8],
  ground: 'M8 74 H114',
  legs: ['M80 44 L82 58 L80 73', 'M88 42 L90 58 L88 73', 'M36 44 L42 55 L36 62 L38 73', 'M30 42 L36 54 L30 62 L32 73'],
  fore: 'M85 43 L84 57 L70 62 L64 58',
  hind: 'M34 44 L41 54 L26 58 L14 62',
}

export const poses: Record<Schemas['Position'], Pose> = {
  standing,
  stool: { ...standing, ground: 'M8 74 H114 M2 62 h14 M5 62 v12 M13 62 v12' },
  foot_forward: { ...standing, fore: 'M86 43 L96 50 L110 52', hind: 'M34 44 L43 54 L40 63 L50 66' },
  on_side: {
    body: 'M22 30 C30 20 84 18 96 26 C100 32 96 40 86 42 L36 44 C24 44 18 38 22 30 Z M22 32 C12 32 8 38 6 44 M88 26 C94 23 100 21 104 22 L104 33 C98 36 94 38 90 38 Z',
    head: [107, 27, 4],
    ground: 'M4 76 H116',
    legs: ['M84 40 L92 52 L88 66', 'M34 42 L30 54 L22 64'],
    fore: 'M78 41 L84 56 L96 66',
    hind: 'M42 43 L40 56 L50 68',
  },
  ground: { ...standing, fore: 'M88 42 L90 58 L88 72', hind: 'M34 44 L40 55 L34 62 L36 72' },
  chest: {
    body: 'M48 66 C38 56 38 32 58 26 C72 22 80 34 76 46 C74 58 68 68 60 70 C54 70 50 70 48 66 Z M58 28 C60 23 62 17 66 13 L76 19 C76 25 74 31 72 35 Z',
    head: [73, 14, 4],
    ground: 'M30 76 C20 62 18 40 24 26 C20 18 24 6 34 6 C44 6 46 18 40 24 M26 32 C40 32 60 44 78 44 M36 76 H96',
    legs: ['M74 44 L82 52 L82 62', 'M62 66 L72 70 L74 76'],
    fore: 'M74 40 L88 44 L100 42',
    hind: 'M64 62 L80 60 L92 68',
  },
  armchair: {
    body: 'M36 52 C40 42 84 40 94 46 C98 52 94 60 86 60 L46 62 C38 62 33 58 36 52 Z M88 46 C93 44 98 42 102 42 L103 52 C97 55 93 57 89 57 Z',
    head: [106, 46, 4],
    ground: 'M18 76 V34 C18 24 30 24 30 34 V60 H104 C112 60 112 76 104 76 H18 M30 40 C36 34 40 34 44 42 M44 42 L52 60',
    legs: ['M84 58 L94 64 L92 74', 'M46 60 L42 68 L48 74'],
    fore: 'M80 58 L88 68 L102 70',
    hind: 'M52 60 L58 70 L72 72',
  },
  on_back: {
    body: 'M24 56 C30 46 86 44 96 52 C100 58 94 66 86 66 L36 66 C26 66 20 62 24 56 Z M88 50 C94 50 100 51 104 54 L102 64 C96 64 92 64 88 62 Z',
    head: [106, 60, -160],
    ground: 'M4 72 H116 M18 72 L16 48 M104 72 L116 50',
    legs: ['M84 48 L90 38 L86 28', 'M36 50 L30 40 L34 30'],
    fore: 'M78 48 L84 34 L98 28',
    hind: 'M44 48 L36 36 L24 30',
  },
  lap: {
    body: 'M44 66 C34 54 38 30 56 24 C70 22 78 34 74 46 C72 58 66 68 56 70 C50 70 46 70 44 66 Z M56 26 C58 22 60 16 64 12 L74 18 C74 24 72 30 70 34 Z',
    head: [71, 13, 4],
    ground: 'M20 72 H104 M34 72 C26 60 24 40 34 22',
    legs: ['M72 42 L78 54 L76 66', 'M60 66 L74 68 L82 71'],
    fore: 'M72 38 L86 42 L98 40',
    hind: 'M62 62 L78 58 L92 64',
  },
}
