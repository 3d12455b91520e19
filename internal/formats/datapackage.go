package formats

import (
	"archive/zip"
	"bufio"
	"compress/flate"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"hash"
	"io"
	"strconv"
	"strings"
	"time"
)

// Column is one of a table of a package.
type Column struct {
	Name   string
	Type   string   // string, integer, number, boolean, date, datetime; json: a string that is JSON
	About  string   // a sentence
	Needed bool     // never missing
	Of     string   // the table whose key it is; empty: none
	One    []string // of these; empty: whatever
	Least  *float64 // of a number, with Most; nil: whatever
	Most   *float64
}

// Table is one of a package: a CSV file whose columns are described (Frictionless Data, Tabular Data Package).
type Table struct {
	Name    string
	About   string
	Key     []string
	Columns []Column
	Derived bool // worked out from others: read by people, not read back
}

// Path is where a table stands in a package.
func (t Table) Path() string { return "data/" + t.Name + ".csv" }

// Names are its columns'.
func (t Table) Names() []string {
	names := make([]string, len(t.Columns))
	for i, c := range t.Columns {
		names[i] = c.Name
	}
	return names
}

// PackageWriter writes a package as a ZIP, row by row.
type PackageWriter struct {
	zip       *zip.Writer
	made      time.Time
	resources []map[string]any
}

// NewPackage begins one.
func NewPackage(w io.Writer, made time.Time) *PackageWriter {
	z := zip.NewWriter(w)
	z.RegisterCompressor(
		zip.Deflate,
		func(out io.Writer) (io.WriteCloser, error) { return flate.NewWriter(out, flate.BestSpeed) },
	)
	return &PackageWriter{zip: z, made: made}
}

// counted counts, hashes and packs what is written, while more is being read: the one takes as long as the other.
type counted struct {
	sum    hash.Hash
	bytes  int64
	buffer []byte
	full   chan []byte
	empty  chan []byte
	done   chan error
}

const portion = 1 << 20 // bytes that are packed at a time

func packing(to io.Writer) *counted {
	c := &counted{
		sum:    sha256.New(),
		buffer: make([]byte, 0, portion),
		full:   make(chan []byte),
		empty:  make(chan []byte, 2),
		done:   make(chan error, 1),
	}
	c.empty <- make([]byte, 0, portion)
	go func() {
		var failed error
		for b := range c.full {
			if failed == nil {
				c.sum.Write(b)
				_, failed = to.Write(b)
			}
			c.empty <- b[:0]
		}
		c.done <- failed
	}()
	return c
}

func (c *counted) Write(p []byte) (int, error) {
	c.bytes += int64(len(p))
	c.buffer = append(c.buffer, p...)
	if len(c.buffer) >= portion {
		c.full <- c.buffer
		c.buffer = <-c.empty
	}
	return len(p), nil
}

// end packs what is left, and says whether all of it could be written.
func (c *counted) end() error {
	c.full <- c.buffer
	close(c.full)
	return <-c.done
}

func (p *PackageWriter) entry(path string, method uint16) (*counted, error) {
	w, err := p.zip.CreateHeader(&zip.FileHeader{Name: path, Method: method, Modified: p.made})
	if err != nil {
		return nil, err
	}
	return packing(w), nil
}

func (p *PackageWriter) add(path, name, about string, c *counted, more map[string]any) {
	r := map[string]any{
		"name":        name,
		"path":        path,
		"description": about,
		"bytes":       c.bytes,
		"hash":        "sha256:" + hex.EncodeToString(c.sum.Sum(nil)),
	}
	for k, v := range more {
		r[k] = v
	}
	p.resources = append(p.resources, r)
}

// Table writes one; rows are told to each, values as the database has them, nil for one that is missing.
func (p *PackageWriter) Table(t Table, rows func(each func([]any) error) error) error {
	c, err := p.entry(t.Path(), zip.Deflate)
	if err != nil {
		return err
	}
	out := csvWriter{bufio.NewWriter(c)}
	out.row(t.Names(), "\n") // into memory: what fails is told at the end
	cells := make([]string, len(t.Columns))
	n := 0
	err = rows(func(values []any) error {
		n++
		for i, v := range values {
			if cells[i], err = t.Columns[i].Text(v); err != nil {
				return fmt.Errorf("%s: %s: %w", t.Name, t.Columns[i].Name, err)
			}
			cells[i] = t.Columns[i].guarded(cells[i])
		}
		out.row(cells, "\n")
		return nil
	})
	err = errors.Join(err, out.Flush(), c.end())
	if err == nil {
		p.add(
			t.Path(),
			t.Name,
			t.About,
			c,
			map[string]any{
				"profile":   "tabular-data-resource",
				"format":    "csv",
				"mediatype": "text/csv",
				"encoding":  "utf-8",
				"rows":      n,
				"schema":    t.schema(),
			},
		)
	}
	return err
}

// File writes what is no table. A name of empty keeps it out of the list of resources.
func (p *PackageWriter) File(path, name, about, media string, write func(io.Writer) error) error {
	method := zip.Deflate
	if media == "image/jpeg" {
		method = zip.Store
	}
	c, err := p.entry(path, method)
	if err != nil {
		return err
	}
	err = errors.Join(write(c), c.end())
	if err == nil && name != "" {
		p.add(path, name, about, c, map[string]any{"mediatype": media})
	}
	return err
}

// Close writes the package's description and ends it.
func (p *PackageWriter) Close(name, title, about string) error {
	w, err := p.zip.CreateHeader(&zip.FileHeader{Name: describing, Method: zip.Deflate, Modified: p.made})
	if err != nil {
		return err
	}
	out := json.NewEncoder(w)
	out.SetIndent("", " ")
	out.SetEscapeHTML(false)
	if err := out.Encode(map[string]any{
		"profile":     "data-package",
		"name":        name,
		"title":       title,
		"description": about,
		"created":     p.made.UTC().Format(time.RFC3339),
		"version":     packageVersion,
		"resources":   p.resources,
	}); err != nil {
		return err
	}
	return p.zip.Close()
}

const (
	describing     = "datapackage.json"
	packageVersion = "1.1.0" // of how a package is laid out; from 1.1 on words are guarded
)

// schema describes a table's columns (Table Schema).
func (t Table) schema() map[string]any {
	var fields, refs []map[string]any
	for _, c := range t.Columns {
		f := map[string]any{"name": c.Name, "type": c.Type, "description": c.About}
		if c.Type == "string" && c.One == nil && c.Of == "" && c.Name != "id" {
			f["description"] = c.About + " (an apostrophe before = + - @ or another apostrophe is no part of it)"
		}
		switch c.Type {
		case "json":
			f["type"] = "string"
		case "datetime":
			f["format"] = "any" // it has thousandths of a second, which the plain form has not
		}
		must := map[string]any{}
		if c.Needed {
			must["required"] = true
		}
		if c.One != nil {
			must["enum"] = c.One
		}
		if c.Least != nil {
			must["minimum"], must["maximum"] = *c.Least, *c.Most
		}
		if len(must) > 0 {
			f["constraints"] = must
		}
		fields = append(fields, f)
		if c.Of != "" {
			of := c.Of
			if of == t.Name {
				of = "" // as the standard names a table's own
			}
			refs = append(
				refs,
				map[string]any{"fields": c.Name, "reference": map[string]any{"resource": of, "fields": "id"}},
			)
		}
	}
	s := map[string]any{"fields": fields, "primaryKey": t.Key, "missingValues": []string{""}}
	if refs != nil {
		s["foreignKeys"] = refs
	}
	return s
}

// guard stands before words that a spreadsheet would work out as a formula; it is taken off when they are read.
const guard = "'"

// guarded are words that no spreadsheet works out.
func (c Column) guarded(cell string) string {
	if c.Type != "string" || cell == "" || !strings.ContainsRune(formulas+guard, rune(cell[0])) {
		return cell
	}
	return guard + cell
}

// Text is a value as it stands in a cell, before it is guarded.
func (c Column) Text(v any) (string, error) {
	switch v := v.(type) {
	case nil:
		return "", nil
	case string:
		return v, nil
	case []byte:
		return string(v), nil
	case int64:
		if c.Type == "boolean" {
			return strconv.FormatBool(v != 0), nil
		}
		return strconv.FormatInt(v, 10), nil
	case float64:
		return strconv.FormatFloat(v, 'f', -1, 64), nil
	}
	return "", fmt.Errorf("a value of %T", v)
}
