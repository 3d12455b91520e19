package dog

import (
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// CautionKind is whose matter a caution is, and when.
type CautionKind string

const (
	Veterinarian CautionKind = "veterinarian" // not the user's work
	CareWithNail CautionKind = "nail"
	Handle       CautionKind = "handle"  // how the dog is to be held
	Prepare      CautionKind = "prepare" // before starting
)

// Caution is a warning for today.
type Caution struct {
	Kind  CautionKind
	Nails []nail.Code // that it is about; none when it is about the dog
	Words say.Line
}
