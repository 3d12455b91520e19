package store

import (
	"cmp"
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"io/fs"
	"os"
	"path/filepath"
	"strings"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/photo"
)

// Picture is one of a paw. Its files stand beside the book, under its content's hash.
type Picture struct {
	ID            uuid.UUID
	DogID         uuid.UUID
	Paw           nail.Paw
	On            date.Date
	Hash          string
	Width, Height int
	Bytes         int64
	Corners       []photo.Point // of the card, as they were guessed; nil: none
	Added         time.Time
	End           *CutEnd // nil: of a paw
	By            string  // who took it, by the device's name
}

// CutEnd says of which cut end a picture is.
type CutEnd struct {
	Code    nail.Code
	Sitting uuid.UUID
	Cuts    int // taken off the nail before, at that sitting
}

type pictureRow struct {
	ID      uuid.UUID  `db:"id"`
	DogID   uuid.UUID  `db:"dog_id"`
	Paw     pawColumn  `db:"paw"`
	On      dateColumn `db:"on_date"`
	Hash    string     `db:"hash"`
	Width   int        `db:"width"`
	Height  int        `db:"height"`
	Bytes   int64      `db:"bytes"`
	Corners string     `db:"corners"`
	Added   string     `db:"added_at"`
	Code    string     `db:"code"` // empty: of a paw
	Sitting string     `db:"sitting_id"`
	Cuts    int        `db:"cuts"`
	By      string     `db:"taken_by"`
}

func (r pictureRow) picture() Picture {
	p := Picture{
		ID:     r.ID,
		DogID:  r.DogID,
		Paw:    r.Paw.Paw,
		On:     r.On.Date,
		Hash:   r.Hash,
		Width:  r.Width,
		Height: r.Height,
		Bytes:  r.Bytes,
		Added:  moment(r.Added),
		By:     r.By,
	}
	fromJSON(r.Corners, &p.Corners)
	if end := (CutEnd{Cuts: r.Cuts}); end.Code.UnmarshalText([]byte(r.Code)) == nil &&
		end.Sitting.UnmarshalText([]byte(r.Sitting)) == nil {
		p.End = &end
	}
	return p
}

// picturesOf is the directory of a book's pictures.
func picturesOf(path string) string { return path + ".pictures" }

// PicturePlace is the directory in which the book's pictures are kept.
func (s *Store) PicturePlace() string { return picturesOf(s.file.path) }

// PictureName is what a picture's file is called, whole or small.
func PictureName(hash string, small bool) string {
	if small {
		return hash + smallEnding
	}
	return hash + pictureEnding
}

// smallEnding is of a picture's small file.
const (
	pictureEnding = ".jpg"
	smallEnding   = ".small.jpg"
)

// AddPicture keeps a picture and its files. The same id again changes nothing, and the same picture of that paw that
// day is kept once: then it is the one that was there.
func (s *Store) AddPicture(ctx context.Context, p Picture, whole, small []byte, at time.Time) (Picture, error) {
	sum := sha256.Sum256(whole)
	p.Hash, p.Bytes = hex.EncodeToString(sum[:]), int64(len(whole)+len(small))
	corners, err := json.Marshal(p.Corners)
	if err != nil {
		return p, err
	}
	code, sitting, cuts := "", "", 0
	if p.End != nil {
		code, sitting, cuts = p.End.Code.String(), p.End.Sitting.String(), p.End.Cuts
	}
	if err := os.MkdirAll(s.PicturePlace(), 0o700); err != nil {
		return p, err
	}
	defer s.HoldPictures()()
	for ending, data := range map[string][]byte{pictureEnding: whole, smallEnding: small} {
		if err := keepFile(filepath.Join(s.PicturePlace(), p.Hash+ending), data); err != nil {
			return p, err
		}
	}
	var there []pictureRow
	err = s.write(ctx, func(tx *sqlx.Tx) error {
		const same = `SELECT * FROM pictures WHERE id = ? OR dog_id = ? AND paw = ? AND on_date = ? AND hash = ?`
		if err := tx.SelectContext(
			ctx,
			&there,
			same,
			p.ID,
			p.DogID,
			p.Paw.String(),
			p.On.String(),
			p.Hash,
		); err != nil ||
			len(there) > 0 {
			return err
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM pictures_gone WHERE hash = ?`, p.Hash); err != nil {
			return err
		}
		return mustTouch(tx.ExecContext(
			ctx,
			`
			INSERT INTO pictures (id, dog_id, paw, on_date, hash, width, height, bytes, corners, added_at, code,
				sitting_id, cuts, taken_by)
			SELECT ?1, id, ?3, ?4, ?5, ?6, ?7, ?8, ?9, ?10, ?11, ?12, ?13, ?14 FROM dogs WHERE id = ?2`,
			p.ID,
			p.DogID,
			p.Paw.String(),
			p.On.String(),
			p.Hash,
			p.Width,
			p.Height,
			p.Bytes,
			string(corners),
			instant(at),
			code,
			sitting,
			cuts,
			p.By,
		))
	})
	for _, r := range there { // the one of that id, or the same picture under another
		if r.ID == p.ID && (r.DogID != p.DogID || r.Paw.Paw != p.Paw || r.Hash != p.Hash) {
			return p, AlreadyTold{There: "another picture, of " + r.On.String()}
		}
	}
	if err == nil && len(there) > 0 {
		return there[0].picture(), nil
	}
	p.Added = at
	return p, err
}

// keepFile writes a file whole, or not at all; one that is there already is the same.
func keepFile(path string, data []byte) error {
	if info, err := os.Stat(path); err == nil && info.Size() == int64(len(data)) {
		return nil
	}
	part, err := os.CreateTemp(filepath.Dir(path), "*"+partly)
	if err != nil {
		return err
	}
	_, err = part.Write(data)
	err = errors.Join(err, part.Sync(), part.Close())
	if err == nil {
		err = os.Rename(part.Name(), path)
	}
	if err != nil {
		return errors.Join(err, os.Remove(part.Name()))
	}
	return synced(filepath.Dir(path))
}

// Pictures returns a dog's, the latest first.
func (s *Store) Pictures(ctx context.Context, dogID uuid.UUID) ([]Picture, error) {
	var rows []pictureRow
	if err := s.rows(
		ctx,
		&rows,
		`SELECT * FROM pictures WHERE dog_id = ? ORDER BY on_date DESC, added_at DESC, id`,
		dogID,
	); err != nil {
		return nil, err
	}
	all := make([]Picture, len(rows))
	for i, r := range rows {
		all[i] = r.picture()
	}
	return all, nil
}

// PictureFile is a picture as it is kept, whole or small; ErrNotFound where there is none under that hash.
func (s *Store) PictureFile(ctx context.Context, hash string, small bool) ([]byte, error) {
	var known int
	if err := s.row(ctx, &known, `SELECT count(*) FROM pictures WHERE hash = ?`, hash); err != nil {
		return nil, err
	}
	if known == 0 { // whatever the name says: no other file is read
		return nil, ErrNotFound
	}
	data, err := os.ReadFile(filepath.Join(s.PicturePlace(), PictureName(hash, small)))
	if errors.Is(err, fs.ErrNotExist) {
		err = ErrNotFound
	}
	return data, err
}

// RemovePicture deletes one for good: its files too, in backups as well, where nothing else in the book is the same
// picture.
func (s *Store) RemovePicture(ctx context.Context, dogID, id uuid.UUID) error {
	defer s.HoldPictures()()
	err := s.write(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(
			ctx,
			`INSERT INTO pictures_gone (hash) SELECT hash FROM pictures WHERE id = ? AND dog_id = ?
				ON CONFLICT (hash) DO NOTHING`,
			id,
			dogID,
		); err != nil {
			return err
		}
		return mustTouch(tx.ExecContext(ctx, `DELETE FROM pictures WHERE id = ? AND dog_id = ?`, id, dogID))
	})
	if err != nil {
		return err
	}
	return s.dropPictures(ctx)
}

// HoldPictures keeps others from adding and deleting pictures until it is let go: a file that is put for a row to come
// must not be deleted with another row's.
func (s *Store) HoldPictures() (letGo func()) {
	s.picturing.Lock()
	return s.picturing.Unlock
}

// tidyPictures finishes what was broken off: pictures that were being written, deletions, and files that came before
// the row that was to name them.
func (s *Store) tidyPictures(ctx context.Context) error {
	entries, err := os.ReadDir(s.PicturePlace())
	if err != nil && !errors.Is(err, fs.ErrNotExist) {
		return err
	}
	var hashes []string
	if err := s.rows(ctx, &hashes, `SELECT DISTINCT hash FROM pictures`); err != nil {
		return err
	}
	named := map[string]bool{}
	for _, hash := range hashes {
		named[hash] = true
	}
	err = nil
	for _, e := range entries {
		hash, kind, _ := strings.Cut(e.Name(), ".")
		ours := strings.HasSuffix(e.Name(), partly) ||
			len(hash) == hex.EncodedLen(sha256.Size) && ("."+kind == pictureEnding || "."+kind == smallEnding)
		if ours && !named[hash] {
			err = errors.Join(err, os.Remove(filepath.Join(s.PicturePlace(), e.Name())))
		}
	}
	return errors.Join(err, s.dropPictures(ctx))
}

// dropPictures removes the files of pictures that were deleted for good.
func (s *Store) dropPictures(ctx context.Context) error {
	var gone []string
	if err := s.rows(
		ctx,
		&gone,
		`SELECT hash FROM pictures_gone WHERE hash NOT IN (SELECT hash FROM pictures)`,
	); err != nil {
		return err
	}
	var err error
	for _, hash := range gone {
		for _, place := range []string{s.PicturePlace(), picturesIn(s.BackupPlace())} {
			for _, ending := range []string{pictureEnding, smallEnding} {
				if e := os.Remove(filepath.Join(place, hash+ending)); e != nil && !errors.Is(e, fs.ErrNotExist) {
					err = errors.Join(err, e)
				}
			}
		}
	}
	return err
}

// PictureSizes are how many pictures the book has and how many bytes they take.
func (s *Store) PictureSizes(ctx context.Context) (pictures int, bytes int64, err error) {
	var sum struct {
		N     int   `db:"n"`
		Bytes int64 `db:"bytes"`
	}
	err = s.row(
		ctx,
		&sum,
		`SELECT count(*) AS n, coalesce(sum(bytes), 0) AS bytes
			FROM (SELECT hash, max(bytes) AS bytes FROM pictures GROUP BY hash)`,
	)
	return sum.N, sum.Bytes, err
}

// picturesIn is where backups in a directory of backups have their pictures: one place for all of them, since a picture
// never changes.
func picturesIn(place string) string { return filepath.Join(place, "pictures") }

// picturesBeside is where a backup has its pictures: in its directory of backups, or beside it.
func picturesBeside(backup string) string {
	if strings.HasSuffix(filepath.Dir(backup), ".backups") {
		return picturesIn(filepath.Dir(backup))
	}
	return picturesOf(backup)
}

// linkPictures is that one place has all the pictures of another as well. They never change: where the disk can give
// them a second name they take no room of their own.
func linkPictures(from, to string) error {
	entries, err := os.ReadDir(from)
	if errors.Is(err, fs.ErrNotExist) {
		return nil
	}
	if err != nil {
		return err
	}
	for _, e := range entries {
		name := e.Name()
		if !strings.HasSuffix(name, pictureEnding) {
			continue
		}
		if err := os.MkdirAll(to, 0o700); err != nil {
			return err
		}
		target := filepath.Join(to, name)
		if _, err := os.Stat(target); err == nil || os.Link(filepath.Join(from, name), target) == nil {
			continue
		}
		data, err := os.ReadFile(filepath.Join(from, name))
		if err != nil && !errors.Is(err, fs.ErrNotExist) { // gone meanwhile
			return err
		}
		if err := cmp.Or(err, keepFile(target, data)); err != nil && !errors.Is(err, fs.ErrNotExist) {
			return err
		}
	}
	return nil
}
