package estimate

// Z90 is the 95th percentile of the standard normal: the middle 90 % reaches this many
// standard deviations to either side.
const Z90 = 1.6448536269514722

// z80 is the 80th percentile of the standard normal.
const z80 = 0.8416212335729143
