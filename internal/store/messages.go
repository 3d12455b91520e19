package store

import (
	"context"
	"encoding/json"
	"fmt"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/date"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
)

// Message is what an owner is told.
type Message struct {
	ID        uuid.UUID
	OwnerID   uuid.UUID
	OwnerName string
	DogID     uuid.UUID
	DogName   string
	Kind      round.MessageKind
	To        string
	Text      string
	Places    []Place
	State     round.MessageState
	Failures  int
	Next      time.Time // it goes out no sooner
	Made      time.Time
	Changed   time.Time
	Answer    string
	Heard     int // the last report of it
	Said      say.Line
	Instead   uuid.UUID // of a new one: the message whose place was gone
}

// Place is one that a message offers, or tells.
type Place struct {
	On      date.Date
	Start   round.Clock
	Minutes int
	Visit   *uuid.UUID `json:",omitempty"` // that it is of; nil: none yet
}

type messageRow struct {
	ID        uuid.UUID          `db:"id"`
	OwnerID   uuid.UUID          `db:"owner_id"`
	OwnerName string             `db:"owner_name"`
	DogID     uuid.UUID          `db:"dog_id"`
	DogName   string             `db:"dog_name"`
	Kind      round.MessageKind  `db:"kind"`
	To        string             `db:"recipient"`
	Text      string             `db:"text"`
	Places    string             `db:"places"`
	State     round.MessageState `db:"state"`
	Failures  int                `db:"failures"`
	Next      string             `db:"next_at"`
	MadeOn    string             `db:"made_on"`
	Made      string             `db:"made_at"`
	Changed   string             `db:"changed_at"`
	Answer    string             `db:"answer"`
	Heard     int                `db:"heard"`
	Said      string             `db:"said"`
}

func (r messageRow) message() Message {
	m := Message{
		ID:        r.ID,
		OwnerID:   r.OwnerID,
		OwnerName: r.OwnerName,
		DogID:     r.DogID,
		DogName:   r.DogName,
		Kind:      r.Kind,
		To:        r.To,
		Text:      r.Text,
		State:     r.State,
		Failures:  r.Failures,
		Next:      moment(r.Next),
		Made:      moment(r.Made),
		Changed:   moment(r.Changed),
		Answer:    r.Answer,
		Heard:     r.Heard,
		Said:      say.Read(r.Said),
	}
	fromJSON(r.Places, &m.Places)
	return m
}

const messages = `SELECT m.*, o.name AS owner_name, d.name AS dog_name FROM messages m JOIN owners o ON o.id = owner_id
	JOIN dogs d ON d.id = m.dog_id`

// Messages returns the latest ones, the latest first.
func (s *Store) Messages(ctx context.Context, most int) ([]Message, error) {
	return s.messages(ctx, messages+` ORDER BY m.made_at DESC, m.id LIMIT ?`, most)
}

// MessagesOf returns what an owner was told, the latest first.
func (s *Store) MessagesOf(ctx context.Context, ownerID uuid.UUID) ([]Message, error) {
	return s.messages(ctx, messages+` WHERE owner_id = ? ORDER BY m.made_at DESC, m.id`, ownerID)
}

// MessagesAbout returns what was told of some dogs, but what failed, the latest first.
func (s *Store) MessagesAbout(ctx context.Context, dogIDs []uuid.UUID) ([]Message, error) {
	return s.messages(
		ctx,
		messages+` WHERE m.dog_id IN (SELECT value FROM json_each(?)) AND m.state <> 'failed'
			ORDER BY m.made_at DESC, m.id`,
		listOf(dogIDs),
	)
}

// Waiting returns the messages that may go out now, the first that was made first.
func (s *Store) Waiting(ctx context.Context, now time.Time, most int) ([]Message, error) {
	return s.messages(
		ctx,
		messages+` WHERE state = 'waiting' AND next_at <= ? ORDER BY m.made_at, m.id LIMIT ?`,
		instant(now),
		most,
	)
}

// Message returns one; ErrNotFound when there is none.
func (s *Store) Message(ctx context.Context, id uuid.UUID) (Message, error) {
	all, err := s.messages(ctx, messages+` WHERE m.id = ?`, id)
	if err == nil && len(all) == 0 {
		err = ErrNotFound
	}
	if err != nil {
		return Message{}, err
	}
	return all[0], nil
}

func (s *Store) messages(ctx context.Context, text string, args ...any) ([]Message, error) {
	var rows []messageRow
	if err := s.rows(ctx, &rows, text, args...); err != nil {
		return nil, err
	}
	all := make([]Message, len(rows))
	for i, r := range rows {
		all[i] = r.message()
	}
	return all, nil
}

// AddMessage keeps a message that is to go out, and returns its id. The same id again changes nothing; where the dog's
// owner was told the same kind that day and has not answered yet, it is that message: of places whichever they were, of
// the rest where it says the same.
func (s *Store) AddMessage(ctx context.Context, m Message, day date.Date, at time.Time) (uuid.UUID, error) {
	places, err := json.Marshal(m.Places)
	if err != nil {
		return m.ID, err
	}
	kept := m.ID
	err = s.write(ctx, func(tx *sqlx.Tx) error {
		var there []uuid.UUID
		err := tx.SelectContext(ctx, &there, `
			SELECT id FROM messages WHERE dog_id = ? AND kind = ? AND made_on = ? AND id <> ?
				AND state IN ('waiting', 'sent', 'delivered') AND (kind = 'places' OR text = ?)
			ORDER BY made_at LIMIT 1`, m.DogID, string(m.Kind), day.String(), m.Instead, m.Text)
		if err != nil {
			return err
		}
		if len(there) > 0 {
			kept = there[0]
			return nil
		}
		_, err = tx.NamedExecContext(ctx, `
			INSERT INTO messages (id, owner_id, dog_id, kind, recipient, text, places, state, failures, next_at,
				made_on, made_at, changed_at, answer, heard, said)
			VALUES (:id, :owner_id, :dog_id, :kind, :recipient, :text, :places, :state, 0, :next_at, :made_on, :made_at,
				:changed_at, '', 0, '') ON CONFLICT (id) DO NOTHING`,
			messageRow{
				ID:      m.ID,
				OwnerID: m.OwnerID,
				DogID:   m.DogID,
				Kind:    m.Kind,
				To:      m.To,
				Text:    m.Text,
				Places:  string(places),
				State:   round.MessageWaiting,
				Next:    instant(at),
				MadeOn:  day.String(),
				Made:    instant(at),
				Changed: instant(at),
			})
		return err
	})
	return kept, err
}

// plainAddress is an address as it is compared: without the signs that people put into numbers.
const plainAddress = `replace(replace(replace(replace(replace(replace(lower(%s),
	' ', ''), '-', ''), '/', ''), '(', ''), ')', ''), '.', '')`

// StoppedAt tells whether somebody who is reached there said stop, whoever it was.
func (s *Store) StoppedAt(ctx context.Context, address string) (stopped bool, err error) {
	if address == "" {
		return false, nil
	}
	err = s.row(
		ctx,
		&stopped,
		fmt.Sprintf(
			`SELECT EXISTS (SELECT 1 FROM owners WHERE stopped = 1 AND `+plainAddress+` = `+plainAddress+`)`,
			"address",
			"?",
		),
		address,
	)
	return stopped, err
}

// StopAddress keeps that an owner, and whoever else is reached there, said stop.
func (s *Store) StopAddress(ctx context.Context, ownerID uuid.UUID, address string) error {
	_, err := s.exec(
		ctx,
		fmt.Sprintf(
			`UPDATE owners SET stopped = 1, version = version + 1 WHERE stopped = 0
				AND (id = ? OR address <> '' AND `+plainAddress+` = `+plainAddress+`)`,
			"address",
			"?",
		),
		ownerID,
		address,
	)
	return err
}

// MoveMessage keeps how far a message has come.
func (s *Store) MoveMessage(ctx context.Context, m Message, at time.Time) error {
	_, err := s.exec(
		ctx,
		`UPDATE messages SET state = ?, failures = ?, next_at = ?, changed_at = ?, answer = ?, heard = ?, said = ?
			WHERE id = ?`,
		string(m.State),
		m.Failures,
		instant(m.Next),
		instant(at),
		m.Answer,
		m.Heard,
		m.Said.Text(),
		m.ID,
	)
	return err
}

// Heard is up to which report the message service was heard.
func (s *Store) Heard(ctx context.Context) (int, error) {
	var n int
	err := s.row(ctx, &n, `SELECT coalesce(max(number), 0) FROM heard`)
	return n, err
}

// Hear keeps up to which report it was heard.
func (s *Store) Hear(ctx context.Context, number int) error {
	_, err := s.exec(
		ctx,
		`INSERT INTO heard (one, number) VALUES (1, ?) ON CONFLICT (one) DO UPDATE SET number = excluded.number`,
		number,
	)
	return err
}
