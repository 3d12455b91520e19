package feet

// All judgement (ours, until a dog's own records replace it).
const (
	ClearBy   = 0.3  // growth left to the floor by which a trim left its nail clear, mm
	LeastRate = 0.1  // mm a week: horn never stops growing
	mostRate  = 5.0  // mm a week: far beyond any dog
	LeastLeft = 0.25 // the share of its usual length that a nail is taken to keep whatever came off
)
