package round

import "time"

// Who called a visit off.
type Who string

const (
	TheOwner Who = "owner"
	Us       Who = "us"
)

// lateOff is how short before a visit its owner's calling off is late, and counts (judgement: a place given back a day
// ahead can be given to another).
const lateOff = 24 * time.Hour

// CountsAgainst tells whether a visit that was called off counts against its owner: only the owner's own calling off,
// and only when it came late. starts is when the visit would have begun, off when it was called off.
func CountsAgainst(by Who, starts, off time.Time) bool {
	return by == TheOwner && off.After(starts.Add(-lateOff))
}
