package growth

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Data and certified values of three linear reference sets of the Statistical Reference Datasets
// (NIST StRD, published; recalled and typed in, which the certified values themselves check): a
// straight line of lower difficulty, a line through the origin, and a hard one whose columns are
// nearly dependent. With flat priors and the certified residual deviation as the noise, the
// posterior is ordinary least squares.
type reference struct {
	x          [][]float64
	y          []float64
	beta, sd   []float64
	residualSD float64
}

func column(values ...float64) [][]float64 {
	rows := make([][]float64, len(values))
	for i, v := range values {
		rows[i] = []float64{1, v}
	}
	return rows
}

var references = map[string]reference{
	"Norris": {
		x: column(
			0.2,
			337.4,
			118.2,
			884.6,
			10.1,
			226.5,
			666.3,
			996.3,
			448.6,
			777.0,
			558.2,
			0.4,
			0.6,
			775.5,
			666.9,
			338.0,
			447.5,
			11.6,
			556.0,
			228.1,
			995.8,
			887.6,
			120.2,
			0.3,
			0.3,
			556.8,
			339.1,
			887.2,
			999.0,
			779.0,
			11.1,
			118.3,
			229.2,
			669.1,
			448.9,
			0.5,
		),
		y: []float64{
			0.1,
			338.8,
			118.1,
			888.0,
			9.2,
			228.1,
			668.5,
			998.5,
			449.1,
			778.9,
			559.2,
			0.3,
			0.1,
			778.1,
			668.8,
			339.3,
			448.9,
			10.8,
			557.7,
			228.3,
			998.0,
			888.8,
			119.6,
			0.3,
			0.6,
			557.6,
			339.3,
			888.0,
			998.5,
			778.9,
			10.2,
			117.6,
			228.9,
			668.4,
			449.2,
			0.2,
		},
		beta:       []float64{-0.262323073774029, 1.00211681802045},
		sd:         []float64{0.232818234301152, 0.429796848199937e-3},
		residualSD: 0.884796396144373,
	},
	"NoInt1": {
		x: [][]float64{{60}, {61}, {62}, {63}, {64}, {65}, {66}, {67}, {68}, {69}, {70}},
		y: []float64{130, 131, 132, 133, 134, 135, 136, 137, 138, 139, 140}, beta: []float64{2.07438016528926},
		sd: []float64{0.165289256198347e-1}, residualSD: 3.56753034006338,
	},
	"Longley": {
		x: [][]float64{
			{
				1,
				83.0,
				234289,
				2356,
				1590,
				107608,
				1947,
			},
			{1, 88.5, 259426, 2325, 1456, 108632, 1948},
			{1, 88.2, 258054, 3682, 1616, 109773, 1949},
			{
				1,
				89.5,
				284599,
				3351,
				1650,
				110929,
				1950,
			},
			{1, 96.2, 328975, 2099, 3099, 112075, 1951},
			{1, 98.1, 346999, 1932, 3594, 113270, 1952},
			{
				1,
				99.0,
				365385,
				1870,
				3547,
				115094,
				1953,
			},
			{1, 100.0, 363112, 3578, 3350, 116219, 1954},
			{1, 101.2, 397469, 2904, 3048, 117388, 1955},
			{
				1,
				104.6,
				419180,
				2822,
				2857,
				118734,
				1956,
			},
			{1, 108.4, 442769, 2936, 2798, 120445, 1957},
			{1, 110.8, 444546, 4681, 2637, 121950, 1958},
			{
				1,
				112.6,
				482704,
				3813,
				2552,
				123366,
				1959,
			},
			{1, 114.2, 502601, 3931, 2514, 125368, 1960},
			{1, 115.7, 518173, 4806, 2572, 127852, 1961},
			{1, 116.9, 554894, 4007, 2827, 130081, 1962},
		},
		y: []float64{
			60323,
			61122,
			60171,
			61187,
			63221,
			63639,
			64989,
			63761,
			66019,
			67857,
			68169,
			66513,
			68655,
			69564,
			69331,
			70551,
		},
		beta: []float64{
			-3482258.63459582,
			15.0618722713733,
			-0.358191792925910e-1,
			-2.02022980381683,
			-1.03322686717359,
			-0.511041056535807e-1,
			1829.15146461355,
		},
		sd: []float64{
			890420.383607373,
			84.9149257747669,
			0.334910077722432e-1,
			0.488399681651699,
			0.214274163161675,
			0.226073200069370,
			455.478499142212,
		},
		residualSD: 304.854073561965,
	},
}

func TestFlatPriorsRecoverTheReferenceSets(t *testing.T) {
	for name, set := range references {
		var rows []row
		for i, values := range set.x {
			r := row{y: set.y[i], variance: set.residualSD * set.residualSD}
			for column, v := range values {
				r.terms = append(r.terms, term{column, v})
			}
			rows = append(rows, r)
		}
		got, solved := fit(make([]prior, len(set.beta)), rows)
		require.True(t, solved, name)
		for i := range set.beta {
			assert.InEpsilon(t, set.beta[i], got.mean[i], 1e-6, "%s: coefficient %d", name, i)
			assert.InEpsilon(t, set.sd[i], math.Sqrt(got.cov.At(i, i)), 1e-6, "%s: its standard deviation", name)
		}
	}
}

func TestWhatNothingSpeaksOfIsNotMadeUp(t *testing.T) {
	_, solved := fit(make([]prior, 2), []row{{[]term{{0, 1}, {1, 2}}, 3, 1}})
	assert.False(t, solved, "one row leaves one of two coefficients open")
}
