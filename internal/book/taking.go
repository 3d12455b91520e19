package book

import (
	"bytes"
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"image"
	"slices"
	"strings"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/photo"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/formats"
	"fribbet/internal/store"
)

// taking is a package that is being read into the book.
type taking struct {
	b        *Book
	ctx      context.Context //nolint:containedctx // it is as long as this work
	p        *formats.Package
	in       *store.Importer
	keep     bool
	out      ImportResult
	progress Steps
	done     int
	all      int
	sittings map[uuid.UUID]bool              // new ones
	inOrder  []uuid.UUID                     // they
	touched  map[uuid.UUID]formats.Misplaced // dogs that are new or of which something is, and where that first stands
	holidays int
	put      []string // files of pictures that were not there
}

// touches notes that something of a dog is new.
func (t *taking) touches(dogID any, at formats.Misplaced) {
	id := uuid.MustParse(fmt.Sprint(dogID)) // sound has looked
	if _, is := t.touched[id]; !is {
		t.touched[id] = at
	}
}

// step counts a row or an event; how many there are nobody knows before all are read.
func (t *taking) step() {
	const often = 5000
	if t.done++; t.done%often == 0 {
		t.progress(t.done, max(t.all, t.done))
	}
}

// absent is what stands for a column that a package of an earlier version does not have.
func absent(c formats.Column, r row) any {
	switch {
	case c.Name == "first_step" && r.text("kind") == string(ladder.Clipper): // it began where a paw is handled
		return int64(ladder.HandledFirst)
	case c.Type == "integer" || c.Type == "boolean":
		return int64(0)
	default:
		return ""
	}
}

// table takes the rows of one table that are not in the book.
func (t *taking) table(table exchanged) error {
	counts := ImportTable{Name: table.Name}
	columns := table.Names()
	nullable, err := t.in.Nullable(t.ctx, table.Name)
	if err != nil {
		return err
	}
	keys, label := make([]int, len(table.Key)), -1
	for i, c := range columns {
		for k, key := range table.Key {
			if key == c {
				keys[k] = i
			}
		}
		if c == "name" {
			label = i
		}
	}
	err = t.p.Rows(table.Table, func(line int, values []any) error {
		t.step()
		key := make([]any, len(keys))
		for k, i := range keys {
			key[k] = values[i]
		}
		for i, c := range columns {
			if values[i] == nil && !nullable[c] {
				values[i] = absent(table.Columns[i], rowOf(columns, values))
			}
		}
		at := formats.Misplaced{File: table.Path(), Line: line}
		if err := t.sound(table, columns, values, at); err != nil {
			return err
		}
		there, err := t.in.Find(t.ctx, table.Name, columns, table.Key, key)
		if err != nil {
			return err
		}
		if there != nil {
			if alike(table.Columns, there, values) {
				counts.Same++
				return nil
			}
			counts.Different++
			if len(counts.DifferentNames) < mostNamed {
				name := fmt.Sprint(key...)
				if label >= 0 {
					name = fmt.Sprint(there[label])
				}
				counts.DifferentNames = append(counts.DifferentNames, name)
			}
			return nil
		}
		counts.New++
		if table.Name == "pictures" {
			t.out.Picture++
		}
		switch table.Name {
		case "logs":
			id := uuid.MustParse(fmt.Sprint(values[0])) // sound has looked
			t.sittings[id], t.inOrder = true, append(t.inOrder, id)
		case "dogs":
			t.touches(values[0], at)
		case "weights", "nails", "walked", "checks":
			t.touches(values[slices.Index(columns, "dog_id")], at)
		}
		if err := t.in.Insert(t.ctx, table.Name, columns, values); err != nil {
			at.Want = say.Of(mustBeARowAs)
			return at
		}
		return nil
	})
	t.out.Tables = append(t.out.Tables, counts)
	return err
}

// alike tells whether two rows say the same.
func alike(columns []formats.Column, a, b []any) bool {
	for i, c := range columns {
		x, err := c.Text(a[i])
		y, other := c.Text(b[i])
		if err != nil || other != nil || x != y {
			return false
		}
	}
	return true
}

// sound is that a row's ids are ids, that what is JSON holds what it should, that a picture's file is there, and that
// the interface would take it.
func (t *taking) sound(table exchanged, columns []string, values []any, at formats.Misplaced) error {
	refuse := func(column string, value any, want say.Line) error {
		at.Column, at.Value, at.Want = column, fault.Short(fmt.Sprint(value)), want
		return at
	}
	for i, c := range columns {
		text, is := values[i].(string)
		if !is || text == "" {
			continue
		}
		if c == "id" || strings.HasSuffix(c, "_id") {
			if id, err := uuid.Parse(text); err != nil || id.String() != text {
				return refuse(c, text, say.Of(mustBeAnIdSuch))
			}
		}
		if table.Name == "pictures" && c == "hash" && !t.p.Has(formats.PicturesPath+store.PictureName(text, false)) {
			return refuse(c, text, say.Of(mustNameAPictureThat))
		}
		if into := shapes[c]; into != nil && json.Unmarshal([]byte(text), into()) != nil {
			return refuse(c, text, say.Of(mustBeJsonAsFribbet))
		}
	}
	f := t.within(table, values)
	if check := asTold[table.Name]; check != nil && len(f) == 0 {
		f = check(t, rowOf(columns, values))
	}
	if len(f) > 0 {
		return refuse(f[0].Name, f[0].Value, f[0].Want)
	}
	return nil
}

// shapes are what the columns hold that are JSON.
var shapes = map[string]func() any{
	"suits":   func() any { return &map[time.Weekday][]round.Stretch{} },
	"body":    func() any { return &store.WorkingWeek{} },
	"places":  func() any { return &[]store.Place{} },
	"corners": func() any { return &[]photo.Point{} },
	"moves":   func() any { return &[]practice.Move{} },
	"named":   func() any { return &[]quick.Face{} },
}

// pictures looks whether each picture is what its name says, and keeps its file.
func (t *taking) pictures() error {
	for _, name := range t.p.Files(formats.PicturesPath) {
		data, err := t.p.Picture(name)
		if err != nil {
			return err
		}
		at := formats.Misplaced{File: formats.PicturesPath + name}
		sum := sha256.Sum256(data)
		whole := !strings.Contains(name, ".small")
		if whole && !strings.HasPrefix(name, hex.EncodeToString(sum[:])) {
			at.Want = say.Of(mustBeThePictureThat)
			return at
		}
		if _, kind, err := image.DecodeConfig(bytes.NewReader(data)); err != nil || kind != "jpeg" {
			at.Want = say.Of(mustBeAJpeg)
			return at
		}
		if !t.keep {
			continue
		}
		fresh, err := t.b.store.PutPicture(name, data)
		if err != nil {
			return err
		}
		if fresh {
			t.put = append(t.put, name)
		}
	}
	return nil
}

// logs takes the logs of sittings that are not in the book; one that is stays as it is.
func (t *taking) logs() error {
	counts := ImportTable{Name: "events"}
	next := map[uuid.UUID]int{}
	differs := map[uuid.UUID]bool{}
	err := t.p.Lines(formats.LogsPath, func(line int, text []byte) error {
		t.step()
		at := formats.Misplaced{File: formats.LogsPath, Line: line}
		var e store.LoggedEvent
		var told bench.Event
		read := json.NewDecoder(bytes.NewReader(text))
		read.DisallowUnknownFields()
		if err := read.Decode(&e); err != nil || read.More() {
			at.Want = say.Of(mustBeOneEventAs)
			return at
		}
		if err := json.Unmarshal(e.Event, &told); err != nil || told.ID != e.ID {
			at.Column, at.Want = "event", say.Of(mustBeAnEvent)
			return at
		}
		recorded, err := time.Parse(time.RFC3339Nano, e.Recorded)
		if err != nil || !date.Of(recorded.UTC()).Believed() {
			at.Column, at.Value, at.Want = "recorded_at", e.Recorded, say.Of(mustBeAMoment)
			return at
		}
		e.Recorded = store.Instant(recorded)
		if e.Number != next[e.Sitting] {
			at.Column, at.Value, at.Want = "number", fmt.Sprint(e.Number), say.Of(
				mustBeInOrder,
				say.Args{"n": say.Whole(next[e.Sitting])},
			)
			return at
		}
		next[e.Sitting]++
		if t.sittings[e.Sitting] {
			counts.New++
			if err := t.in.InsertEvent(t.ctx, e); err != nil {
				at.Column, at.Value, at.Want = "id", e.ID, say.Of(mustBeToldInOne)
				return at
			}
			return nil
		}
		there, err := t.in.Find(
			t.ctx,
			"events",
			[]string{"id", "body"},
			[]string{"sitting_id", "number"},
			[]any{e.Sitting.String(), e.Number},
		)
		if err != nil {
			return err
		}
		if there == nil && next[e.Sitting] == 1 {
			at.Column, at.Value, at.Want = "sitting_id", e.Sitting.String(), say.Of(mustBeATrimOf)
			return at
		}
		if there != nil && there[0] == e.ID && there[1] == string(e.Event) {
			counts.Same++
		} else if counts.Different++; !differs[e.Sitting] {
			differs[e.Sitting] = true
			if len(counts.DifferentNames) < mostNamed {
				counts.DifferentNames = append(counts.DifferentNames, e.Sitting.String())
			}
		}
		return nil
	})
	t.out.Logs = counts
	if err != nil {
		return err
	}
	t.done, t.all = 0, len(t.sittings)
	for _, id := range t.inOrder {
		if next[id] == 0 {
			return formats.Misplaced{File: formats.LogsPath, Value: id.String(), Want: say.Of(mustHoldTheLogOf)}
		}
		if err := t.log(id); err != nil {
			return err
		}
		if !t.keep {
			continue
		}
		if _, err := t.in.Project(t.ctx, id); err != nil {
			return fmt.Errorf("sitting %s: %w", id, err)
		}
		if t.done++; t.done%100 == 0 {
			t.progress(t.done, t.all)
		}
	}
	return nil
}

// dogs are those of which something is new as profiles that can be, with what was seen of them.
func (t *taking) dogs() error {
	for id, at := range t.touched {
		d, err := t.in.Dog(t.ctx, id)
		if errors.Is(err, store.ErrNotFound) { // it belongs to none: that is told at the end
			continue
		}
		if err != nil {
			at.Want = say.Of(mustBeOfADog)
			return at
		}
		checks, err := t.in.Checks(t.ctx, id)
		if err != nil {
			return err
		}
		f := append(d.Check(t.b.Today().AddDays(1)), feet.Bounded(d.Dog, nil, walksOf(checks))...)
		if len(f) > 0 {
			at.Column, at.Value, at.Want = f[0].Name, f[0].Value, f[0].Want
			return at
		}
	}
	return nil
}

// log is that of a new sitting as one that could have been told: nothing of it, nor of what it comes to, is out of
// all bounds.
func (t *taking) log(id uuid.UUID) error {
	at := formats.Misplaced{File: formats.LogsPath, Value: id.String(), Want: say.Of(mustBeALogAs)}
	dogID, log, err := t.in.Log(t.ctx, id)
	if err != nil {
		return at
	}
	d, err := t.in.Dog(t.ctx, dogID)
	if errors.Is(err, store.ErrNotFound) {
		return nil // it belongs to none: that is told at the end
	}
	if err != nil {
		return err
	}
	if f := log.Check(); len(f) > 0 {
		at.Column, at.Value, at.Want = f[0].Name, f[0].Value, f[0].Want
		return at
	}
	var f fault.Fields
	if err := unharmed(func() error {
		f = feet.Bounded(d.Dog, []record.Sitting{log.Fold().Sitting(d.Birth.Date)}, nil)
		return nil
	}); err != nil {
		return at
	}
	if len(f) > 0 {
		at.Column, at.Value, at.Want = f[0].Name, f[0].Value, f[0].Want
		return at
	}
	return nil
}
