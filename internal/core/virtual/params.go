package virtual

// What becomes of a nail that is left alone, day by day, told anew here so that the state is tried on it: past
// wornFrom beyond the floor horn wears or breaks, as much as grows where it is wornReach farther (mm for a dog of
// size factor 1); and the quick follows what its spare has beyond longSpare, mm, at three times its pull.
const (
	wornFrom  = 3.0
	wornReach = 1.5
	longSpare = 5.0
	longPull  = 2.0
	day       = 1.0 / 7
)
