package access

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"strings"
	"time"
	"unicode/utf8"

	"github.com/google/uuid"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
	"fribbet/internal/visitor"
)

type deviceRow struct {
	ID       string `db:"id"`
	Name     string `db:"name"`
	Who      string `db:"who"`
	PairedAt string `db:"paired_at"`
	SeenAt   string `db:"seen_at"`
}

// Devices lists those that may come in, the last seen first.
func (a *Access) Devices(ctx context.Context) ([]visitor.Device, error) {
	var rows []deviceRow
	if err := a.db.SelectContext(ctx, &rows, `SELECT * FROM devices ORDER BY seen_at DESC, id`); err != nil {
		return nil, err
	}
	all := make([]visitor.Device, len(rows))
	for i, r := range rows {
		paired, err := time.Parse(time.RFC3339, r.PairedAt)
		if err != nil {
			return nil, err
		}
		seen, err := time.Parse(time.RFC3339, r.SeenAt)
		if err != nil {
			return nil, err
		}
		all[i] = visitor.Device{ID: r.ID, Name: r.Name, Who: r.Who, PairedAt: paired, SeenAt: seen}
	}
	return all, nil
}

const mostName = 40

// named is what somebody typed as a name, fit to be kept.
func named(text, usual string) string {
	text = strings.Join(strings.Fields(strings.Map(printable, text)), " ")
	if text == "" {
		return usual
	}
	if runes := []rune(text); len(runes) > mostName {
		text = string(runes[:mostName])
	}
	return text
}

// NameDevice gives a device another name and says who uses it.
func (a *Access) NameDevice(ctx context.Context, id, name, who string) error {
	var f fault.Fields
	for field, text := range map[string]string{"name": name, "who": who} {
		if utf8.RuneCountInString(text) > mostName {
			f.Add(field, text, say.Of(mustHaveAtMost40))
		}
	}
	if strings.TrimSpace(name) == "" {
		f.Add("name", name, say.Of(mustNotBeEmpty))
	}
	if err := f.Err(); err != nil {
		return err
	}
	done, err := a.db.ExecContext(
		ctx,
		`UPDATE devices SET name = ?, who = ? WHERE id = ?`,
		named(name, name),
		named(who, ""),
		id,
	)
	if err != nil {
		return err
	}
	if n, err := done.RowsAffected(); err != nil || n == 0 {
		return orNotFound(err)
	}
	return nil
}

// Withdraw lets a device in no more, and ends what it is being answered just now.
func (a *Access) Withdraw(ctx context.Context, id string) error {
	done, err := a.db.ExecContext(ctx, `DELETE FROM devices WHERE id = ?`, id)
	if err != nil {
		return err
	}
	if n, err := done.RowsAffected(); err != nil || n == 0 {
		return orNotFound(err)
	}
	a.guests.Lock()
	defer a.guests.Unlock()
	for cancel := range a.guests.of[id] {
		(*cancel)()
	}
	return nil
}

func orNotFound(err error) error {
	if err == nil {
		return visitor.ErrNoSuchDevice
	}
	return err
}

// codeLife is how long a pairing code is good for.
const codeLife = 10 * time.Minute

// Code makes a pairing code of 128 bits, good once and for ten minutes.
func (a *Access) Code() (string, time.Time) {
	code := rand.Text()[:26] // 130 bits, base 32
	until := a.now().Add(codeLife)
	a.codes.Lock()
	defer a.codes.Unlock()
	for other, end := range a.codes.until {
		if !a.now().Before(end) {
			delete(a.codes.until, other)
		}
	}
	a.codes.until[sha256.Sum256([]byte(code))] = until
	return code, until
}

// takes tells whether a code is good, and uses it up.
func (a *Access) takes(code string) bool {
	sum := sha256.Sum256([]byte(code))
	a.codes.Lock()
	defer a.codes.Unlock()
	until, is := a.codes.until[sum]
	delete(a.codes.until, sum)
	return is && a.now().Before(until)
}

// pair keeps a new device.
func (a *Access) pair(ctx context.Context, name, who string) (visitor.Device, error) {
	now := a.now()
	d := visitor.Device{
		ID:       uuid.NewString(),
		Name:     named(name, "a device"),
		Who:      named(who, ""),
		PairedAt: now,
		SeenAt:   now,
	}
	_, err := a.db.ExecContext(
		ctx,
		`INSERT INTO devices (id, name, who, paired_at, seen_at) VALUES (?, ?, ?, ?, ?)`,
		d.ID,
		d.Name,
		d.Who,
		instant(now),
		instant(now),
	)
	return d, err
}

// device is the one of an id, noted as seen; false when it may not come in.
func (a *Access) device(ctx context.Context, id string) (visitor.Device, bool, error) {
	var rows []deviceRow
	if err := a.db.SelectContext(ctx, &rows, `SELECT * FROM devices WHERE id = ?`, id); err != nil || len(rows) == 0 {
		return visitor.Device{}, false, err
	}
	const every = time.Minute
	a.seen.Lock()
	due := a.now().Sub(a.seen.at[id]).Abs() >= every
	if due {
		a.seen.at[id] = a.now()
	}
	a.seen.Unlock()
	if due {
		if _, err := a.db.ExecContext(
			ctx,
			`UPDATE devices SET seen_at = ? WHERE id = ?`,
			instant(a.now()),
			id,
		); err != nil {
			return visitor.Device{}, false, err
		}
	}
	return visitor.Device{ID: id, Name: rows[0].Name, Who: rows[0].Who}, true, nil
}
