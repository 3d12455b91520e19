package formats

import (
	"archive/zip"
	"bufio"
	"crypto/sha256"
	"encoding/csv"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"fribbet/internal/core/say"
	"io"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"time"
)

// Misplaced is what in a package cannot be: by file, line and column.
type Misplaced struct {
	File   string
	Line   int    // from 1; 0: the file as a whole
	Column string // empty: the line as a whole
	Value  any    // as fault.Field holds it; nil: nothing to tell
	Want   say.Line
}

func (m Misplaced) Error() string {
	return fmt.Sprintf("%s:%d %s: %s %v (got %v)", m.File, m.Line, m.Column, m.Want.Key, m.Want.Args, m.Value)
}

// What of packages is read.
const (
	mostEntries  = 500_000
	mostUnpacked = 16 << 30 // bytes
	mostShrunk   = 200      // times: more is a bomb
	smallEntry   = 1 << 20  // bytes that may be shrunk more
	longestLine  = 1 << 20
)

// LogsPath is where the logs of all sittings stand in a package, and PicturesPath where pictures do.
const (
	LogsPath     = "data/logs.jsonl"
	PicturesPath = "pictures/"
)

var known = regexp.MustCompile(
	`^(datapackage\.json|README\.txt|dog\.html|data/|pictures/|data/[a-z_]+\.(csv|jsonl)|` +
		`pictures/[0-9a-f]{64}(\.small)?\.jpg)$`,
)

// Package is one that is read.
type Package struct {
	entries map[string]*zip.File
	hashes  map[string]string
	guarded bool // its words are (version 1.1)
}

// ReadPackage looks a package through, without unpacking it.
func ReadPackage(r io.ReaderAt, size int64) (*Package, error) {
	z, err := zip.NewReader(r, size)
	if err != nil {
		return nil, Misplaced{File: "the file", Want: say.Of(mustBeAWholeZip)}
	}
	if len(z.File) > mostEntries {
		return nil, Misplaced{
			File: "the file",
			Want: say.Of(mustHoldAtMostFiles, say.Args{"mostEntries": say.Count(mostEntries)}),
		}
	}
	p := &Package{entries: map[string]*zip.File{}, hashes: map[string]string{}}
	var unpacked uint64
	for _, f := range z.File {
		unpacked += f.UncompressedSize64
		switch {
		case !known.MatchString(f.Name):
			return nil, Misplaced{File: f.Name, Want: say.Of(mustBeNoPartOf)}
		case p.entries[f.Name] != nil:
			return nil, Misplaced{File: f.Name, Want: say.Of(mustStandInItOnce)}
		case unpacked > mostUnpacked,
			f.UncompressedSize64 > smallEntry && f.UncompressedSize64/max(1, f.CompressedSize64) > mostShrunk:
			return nil, Misplaced{File: f.Name, Want: say.Of(mustNotUnpackToSo)}
		}
		p.entries[f.Name] = f
	}
	return p, p.described()
}

// described reads the package's description.
func (p *Package) described() error {
	in, err := p.open(describing)
	if err != nil {
		return err
	}
	defer in.Close() //nolint:errcheck // it was only read
	var d struct {
		Version   string
		Resources []struct{ Path, Hash string }
	}
	if err := json.NewDecoder(io.LimitReader(in, longestLine*16)).Decode(&d); err != nil || d.Resources == nil {
		return Misplaced{File: describing, Want: say.Of(mustDescribeThePackageAs)}
	}
	p.guarded = !strings.HasPrefix(d.Version, "1.0.")
	if major, _, _ := strings.Cut(d.Version, "."); major != "1" {
		return Misplaced{File: describing, Column: "version", Value: d.Version, Want: say.Of(mustBe1ALater)}
	}
	for _, r := range d.Resources {
		if p.entries[r.Path] == nil {
			return Misplaced{File: r.Path, Want: say.Of(mustBeThereThePackage)}
		}
		p.hashes[r.Path] = r.Hash
	}
	return nil
}

func (p *Package) open(path string) (io.ReadCloser, error) {
	f := p.entries[path]
	if f == nil {
		return nil, Misplaced{File: path, Want: say.Of(mustBeThereThePackage)}
	}
	in, err := f.Open()
	if err != nil {
		return nil, Misplaced{File: path, Want: say.Of(mustBeWholeItIs)}
	}
	return in, nil
}

// damaged is what a broken entry is told as.
func damaged(path string, err error) error {
	var told Misplaced
	if errors.Is(err, zip.ErrChecksum) || errors.Is(err, io.ErrUnexpectedEOF) || errors.Is(err, zip.ErrFormat) {
		return Misplaced{File: path, Want: say.Of(mustBeWholeItIs)}
	}
	if err == nil || errors.As(err, &told) {
		return err
	}
	return fmt.Errorf("%s: %w", path, err)
}

// Rows tells every row of a table with its line, each value as the database has it, nil for one that is missing.
func (p *Package) Rows(t Table, each func(line int, values []any) error) error {
	in, err := p.open(t.Path())
	if err != nil {
		return err
	}
	defer in.Close() //nolint:errcheck // it was only read
	rest := &rationed{from: in, left: longestLine}
	read := csv.NewReader(rest)
	read.ReuseRecord = true
	head, err := read.Read()
	if err != nil {
		return Misplaced{File: t.Path(), Line: 1, Want: say.Of(mustNameTheColumns)}
	}
	head = slices.Clone(head)
	at := make([]int, len(head))
	for i, name := range head {
		at[i] = slices.IndexFunc(t.Columns, func(c Column) bool { return c.Name == name })
		if at[i] < 0 || slices.Index(head, name) < i {
			return Misplaced{
				File:   t.Path(),
				Line:   1,
				Column: name,
				Want:   say.Of(mustBeOneOfThe, say.Args{"join": say.Name(strings.Join(t.Names(), ", "))}),
			}
		}
	}
	for _, c := range t.Columns {
		if c.Needed && !slices.Contains(head, c.Name) {
			return Misplaced{File: t.Path(), Line: 1, Column: c.Name, Want: say.Of(mustBeThere)}
		}
	}
	last := 1
	for {
		rest.left = longestLine
		cells, err := read.Read()
		if errors.Is(err, io.EOF) {
			return nil
		}
		if errors.Is(err, errLong) {
			return Misplaced{
				File: t.Path(),
				Line: last + 1,
				Want: say.Of(mustBeARowOf, say.Args{"longestLine": say.Count(longestLine)}),
			}
		}
		var wrong *csv.ParseError
		if errors.As(err, &wrong) {
			return Misplaced{
				File: t.Path(),
				Line: wrong.Line,
				Want: say.Of(mustHaveCellsQuotedAs, say.Args{"head": say.Count(len(head))}),
			}
		}
		if err != nil {
			return damaged(t.Path(), err)
		}
		line, _ := read.FieldPos(0)
		last = line
		values := make([]any, len(t.Columns))
		for i, cell := range cells {
			c := t.Columns[at[i]]
			if p.guarded && c.Type == "string" {
				cell = strings.TrimPrefix(cell, guard)
			}
			if values[at[i]], err = c.value(cell); err != nil {
				return Misplaced{File: t.Path(), Line: line, Column: c.Name, Value: cell, Want: say.Plain(err.Error())}
			}
		}
		for i, c := range t.Columns {
			if c.Needed && values[i] == nil {
				return Misplaced{File: t.Path(), Line: line, Column: c.Name, Want: say.Of(mustBeTold)}
			}
		}
		if err := each(line, values); err != nil {
			return err
		}
	}
}

// rationed reads no more than a row may be long, until the next ration.
type rationed struct {
	from io.Reader
	left int
}

var errLong = errors.New("a row that is too long")

func (r *rationed) Read(into []byte) (int, error) {
	if r.left <= 0 {
		return 0, errLong
	}
	n, err := r.from.Read(into[:min(len(into), r.left)])
	r.left -= n
	return n, err
}

// value reads a cell.
func (c Column) value(cell string) (any, error) {
	if cell == "" {
		return nil, nil //nolint:nilnil // it is missing
	}
	switch c.Type {
	case "integer":
		n, err := strconv.ParseInt(cell, 10, 64)
		if err != nil {
			return nil, errors.New("must be a whole number")
		}
		return n, nil
	case "number":
		n, err := strconv.ParseFloat(cell, 64)
		if err != nil || n != n || n > 1e12 || n < -1e12 {
			return nil, errors.New("must be a number")
		}
		return n, nil
	case "boolean":
		switch cell {
		case "true":
			return int64(1), nil
		case "false":
			return int64(0), nil
		}
		return nil, errors.New("must be true or false")
	case "json":
		if !json.Valid([]byte(cell)) {
			return nil, errors.New("must be JSON")
		}
	case "date":
		if _, err := time.Parse(time.DateOnly, cell); err != nil {
			return nil, errors.New("must be a day, YYYY-MM-DD")
		}
	case "datetime":
		if _, err := time.Parse(time.RFC3339Nano, cell); err != nil {
			return nil, errors.New("must be a moment, YYYY-MM-DDTHH:MM:SSZ")
		}
	}
	if c.One != nil && !slices.Contains(c.One, cell) {
		return nil, errors.New("must be one of " + strings.Join(c.One, ", "))
	}
	return cell, nil
}

// Has tells whether a file is in it.
func (p *Package) Has(path string) bool { return p.entries[path] != nil }

// Files are the names of what stands under a place.
func (p *Package) Files(under string) (all []string) {
	for path := range p.entries {
		if name, is := strings.CutPrefix(path, under); is && name != "" {
			all = append(all, name)
		}
	}
	slices.Sort(all)
	return all
}

// Bytes is how much is read of it: its tables and logs, unpacked.
func (p *Package) Bytes() (sum int64) {
	for path, f := range p.entries {
		if strings.HasPrefix(path, "data/") {
			sum += int64(f.UncompressedSize64) //nolint:gosec // below what is read at most
		}
	}
	return sum
}

// Lines tells every line of a file that must be as it was written.
func (p *Package) Lines(path string, each func(line int, text []byte) error) error {
	in, err := p.open(path)
	if err != nil {
		return err
	}
	defer in.Close() //nolint:errcheck // it was only read
	sum := sha256.New()
	read := bufio.NewScanner(io.TeeReader(in, sum))
	read.Buffer(nil, longestLine)
	line := 0
	for read.Scan() {
		line++
		if err := each(line, read.Bytes()); err != nil {
			return err
		}
	}
	if errors.Is(read.Err(), bufio.ErrTooLong) {
		return Misplaced{File: path, Line: line + 1, Want: say.Of(mustBeShorter)}
	}
	if err := read.Err(); err != nil {
		return damaged(path, err)
	}
	if p.hashes[path] != "sha256:"+hex.EncodeToString(sum.Sum(nil)) {
		return Misplaced{File: path, Want: say.Of(mustBeAsItWas)}
	}
	return nil
}

// Picture is a picture's file, whole or small.
func (p *Package) Picture(name string) ([]byte, error) {
	path := PicturesPath + name
	in, err := p.open(path)
	if err != nil {
		return nil, err
	}
	defer in.Close() //nolint:errcheck // it was only read
	data, err := io.ReadAll(io.LimitReader(in, MostPictureBytes+1))
	if err != nil || len(data) > MostPictureBytes {
		return nil, Misplaced{
			File: path,
			Want: say.Of(mustBeAWholePicture, say.Args{"MostPictureBytes": say.Count(MostPictureBytes >> 20)}),
		}
	}
	return data, nil
}
