package quick

// EndPoint is when to stop: practitioners disagree.
type EndPoint string

const (
	AtFirstSign EndPoint = "first_sign" // as soon as the dark centre or the blush shows
	Full        EndPoint = "full"       // thin slivers or touches until the dark fills the face or the dot shows
)
