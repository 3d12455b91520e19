package record

// Touching is how many nails were seen to touch the floor before the first cut.
type Touching string

const (
	Unlooked Touching = ""     // nobody looked, or it was passed over
	None     Touching = "none" // none of the toes' nails
	Some     Touching = "some" // at least one of them
	Most     Touching = "most" // more than half
)

// Touchings lists those that can be told.
func Touchings() []Touching { return []Touching{None, Some, Most} }

// Arrival is what was seen of a dog before the first cut.
type Arrival struct {
	Touching Touching `json:"touching,omitempty"`
	Clicks   bool     `json:"clicks,omitempty"` // it was heard on a hard floor
	Limps    bool     `json:"limps,omitempty"`
	Sore     bool     `json:"sore,omitempty"` // it flinched when a leg or foot was touched
}
