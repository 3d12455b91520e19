package formats

import (
	_ "embed" // the page
	"html/template"
	"io"
)

//go:embed dogpage.html
var dogPage string

var dogTemplate = template.Must(template.New("dog").Parse(dogPage))

// DogPage is a dog on one page, to be read and printed.
type DogPage struct {
	Language        string            // of what it says
	Says            map[string]string // its headings and notes
	Name, Next      string
	Facts, Cautions []string
	Nails           []struct{ Code, Looks, Length, Spare, Gap string }
	Sittings        []struct{ On, Done, How, Note string }
}

// Write writes it as HTML that needs nothing else.
func (p DogPage) Write(w io.Writer) error { return dogTemplate.Execute(w, p) }
