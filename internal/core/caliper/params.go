package caliper

// Most is the widest jaw that is believed, mm (judgement: a pocket caliper's).
const Most = 150.0

// mostLine is the longest line that can be a reading, bytes.
const mostLine = 24
