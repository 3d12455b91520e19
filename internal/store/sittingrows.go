package store

import (
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/state"
	"fribbet/internal/core/temper"
)

type sittingRow struct {
	ID         uuid.UUID       `db:"id"`
	DogID      uuid.UUID       `db:"dog_id"`
	On         dateColumn      `db:"on_date"`
	Note       string          `db:"note"`
	Minutes    *float64        `db:"minutes"`
	Calm       *float64        `db:"calm_minutes"`
	Helper     bool            `db:"helper"`
	Ticks      linesColumn     `db:"ticks"`
	Smooth     pawsColumn      `db:"smooth"`
	Touching   record.Touching `db:"touching"`
	Signs      linesColumn     `db:"signs"`
	Held       dog.Position    `db:"held"`
	Hour       *int            `db:"hour"`
	RecordedAt string          `db:"recorded_at"`
	Withdrawn  *string         `db:"withdrawn_at"`
}

type recordRow struct {
	SittingID uuid.UUID       `db:"sitting_id"`
	Code      codeColumn      `db:"code"`
	Tool      kit.Tool        `db:"tool"`
	Reaction  temper.Reaction `db:"reaction"`
	Blood     bool            `db:"blood"`
	Number    int             `db:"number"` // in the order of the work
	Item      *string         `db:"item_id"`
	TookForce bool            `db:"took_force"`
	EndFace   quick.Face      `db:"end_face"`
	Colour    nail.Colour     `db:"colour"`
	Edged     bool            `db:"edged"`
	Ended     state.Ended     `db:"ended"`
	Stop      quick.EndPoint  `db:"stop"`
	Assumed   bool            `db:"assumed"`
	Second    kit.Tool        `db:"ground_tool"`
	SecondBy  *string         `db:"ground_item"`
	Times     float64         `db:"hand_times"`
	Spread    float64         `db:"hand_spread"`
	Milder    float64         `db:"eye_milder"`
}

type readingRow struct {
	SittingID uuid.UUID     `db:"sitting_id"`
	Code      codeColumn    `db:"code"`
	Measure   bench.Measure `db:"measure"`
	MM        float64       `db:"mm"`
	By        measure.Means `db:"by_means"`
	SD        float64       `db:"sd_mm"`
}

type cutRow struct {
	SittingID uuid.UUID  `db:"sitting_id"`
	Code      codeColumn `db:"code"`
	Number    int        `db:"number"`
	MM        float64    `db:"mm"`
	Face      quick.Face `db:"face"`
	Second    bool       `db:"second_pass"`
}

type landmarkRow struct {
	SittingID uuid.UUID      `db:"sitting_id"`
	Code      codeColumn     `db:"code"`
	Number    int            `db:"number"`
	Kind      quick.Landmark `db:"kind"`
	Spare     float64        `db:"spare_mm"`
	By        measure.Means  `db:"by_means"`
	SD        float64        `db:"sd_mm"`
}

// arrival is what was seen before the first cut; nil where nobody looked.
func (r sittingRow) arrival() *record.Arrival {
	if r.Touching == record.Unlooked && len(r.Signs) == 0 {
		return nil
	}
	has := func(sign string) bool { return slices.Contains(r.Signs, sign) }
	return &record.Arrival{Touching: r.Touching, Clicks: has("clicks"), Limps: has("limps"), Sore: has("sore")}
}

func touchingOf(a *record.Arrival) record.Touching {
	if a == nil {
		return record.Unlooked
	}
	return a.Touching
}

func signsOf(a *record.Arrival) (signs linesColumn) {
	if a == nil {
		return nil
	}
	for _, one := range []struct {
		is   bool
		sign string
	}{{a.Clicks, "clicks"}, {a.Limps, "limps"}, {a.Sore, "sore"}} {
		if one.is {
			signs = append(signs, one.sign)
		}
	}
	return signs
}
