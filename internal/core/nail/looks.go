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
	Curled   Shape = "curled"
)

// Condition is what is wrong with a nail.
type Condition string

const (
	Sound   Condition = "sound"
	Loose   Condition = "loose"   // a dewclaw that hangs by its skin
	Split   Condition = "split"   // the horn has a crack
	Broken  Condition = "broken"  // broken off, the quick not open
	Torn    Condition = "torn"    // broken or torn into the quick: a veterinarian's matter
	Ingrown Condition = "ingrown" // grown into the pad or the skin: a veterinarian's matter
)

// States lists them, the sound one first.
func States() []Condition { return []Condition{Sound, Loose, Split, Broken, Torn, Ingrown} }

// Veterinary tells whether the nail is a veterinarian's matter and not to be trimmed.
func (s Condition) Veterinary() bool { return s == Torn || s == Ingrown }
