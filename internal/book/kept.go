package book

import (
	"fribbet/internal/formats"
	"fribbet/internal/store"
)

// What use cases take and give, as the store keeps it.
type (
	Dog         = store.Dog
	Find        = store.Find
	Settings    = store.Settings
	Sitting     = store.Sitting
	Check       = store.WalkRound
	Picture     = store.Picture
	CutEnd      = store.CutEnd
	KitItem     = store.KitItem
	Ladder      = store.Ladder
	Try         = store.Try
	Owner       = store.Owner
	RoundDog    = store.RoundDog
	WorkingWeek = store.WorkingWeek
	KeptVisit   = store.Visit
	Place       = store.Place
	Message     = store.Message
	Sheet       = formats.Sheet
)

// Why something cannot be.
type (
	AlreadyTold = store.AlreadyTold // refuses what is in the book under that id already, with other content
	Refused     = store.Refused     // of a file
	Gone        = store.Gone        // the book's file
)

// Why something cannot be, where nothing more is to be said of it.
var (
	ErrNotFound    = store.ErrNotFound
	ErrConflict    = store.ErrConflict // it was changed since it was read
	ErrCannotWrite = store.ErrCannotWrite
	ErrDamaged     = store.ErrDamaged
)

// InOwnWords is an error of the file's as one of these.
func InOwnWords(err error) error { return store.InOwnWords(err) }

// MostPictureBytes is how large a picture may be.
const MostPictureBytes = formats.MostPictureBytes
