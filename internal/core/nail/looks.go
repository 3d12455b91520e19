package nail

// Colour of the horn decides how a nail is read: a light one shows its quick.
type Colour string

const (
	Unknown Colour = "unknown" // read as dark, the careful way
	Dark    Colour = "dark"
	Light   Colour = "light"
	Mixed   Colour = "mixed"
)

// Shape is the nail's run seen from the side.
type Shape string

const (
	Straight Shape = "straight"
	Usual    Shape = "usual"
	Hooked   Shape = "hooked"
)

// State is what is wrong with a nail.
type State string

const (
	Sound State = "sound"
	Split State = "split" // the horn has a crack
	Torn  State = "torn"  // broken or torn into the quick: a veterinarian's matter
)
