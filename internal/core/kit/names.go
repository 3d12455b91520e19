package kit

import "fribbet/internal/core/say"

// Say is what a thing is called, within a sentence.
func (k Kind) Say() say.Line { return say.Of("kit.kind_" + say.Key(k)) }

// Say is what a tool is called, within a sentence.
func (t Tool) Say() say.Line { return Kind(t).Say() }

// service is what makes it as new, as one is told to do it.
func (i Item) service() say.Line { return say.Of("kit.service_" + say.Key(i.Service())) }

// say is what is counted, after its number.
func (c Counts) say() say.Line { return say.Of("kit.counts_" + say.Key(c)) }
