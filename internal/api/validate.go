package api

import (
	"errors"
	"fmt"
	"net/http"
	"regexp"
	"strings"
	"sync"

	"github.com/getkin/kin-openapi/openapi3"
	"github.com/getkin/kin-openapi/openapi3filter"
	"github.com/getkin/kin-openapi/routers"
	"github.com/getkin/kin-openapi/routers/gorillamux"
	"github.com/gin-gonic/gin"
	"github.com/google/uuid"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

func init() {
	openapi3.DefineStringFormatValidator("date", openapi3.NewCallbackValidator(func(text string) error {
		_, err := date.Parse(text)
		return err
	}))
	openapi3.DefineStringFormatValidator("uuid", openapi3.NewCallbackValidator(uuid.Validate))
}

// promised finds what the contract says of a request; to read all of it takes a while, and it stays the same.
var promised = sync.OnceValues(func() (routers.Router, error) {
	spec, err := contract.GetSpec()
	if err != nil {
		return nil, err
	}
	spec.Servers = nil // any address that reaches us will do
	return gorillamux.NewRouter(spec)
})

// validator refuses requests that do not keep to the contract.
func validator() (gin.HandlerFunc, error) {
	router, err := promised()
	if err != nil {
		return nil, err
	}
	return func(c *gin.Context) {
		route, params, err := router.FindRoute(c.Request)
		if err == nil {
			err = openapi3filter.ValidateRequest(c.Request.Context(), &openapi3filter.RequestValidationInput{
				Request:    c.Request,
				PathParams: params,
				Route:      route,
				Options: &openapi3filter.Options{
					MultiError:          true,
					SkipSettingDefaults: true,
					ExcludeRequestBody:  c.FullPath() == importPath,
				},
			})
		}
		var tooLarge *http.MaxBytesError
		switch {
		case err == nil:
		case errors.As(err, &tooLarge):
			refuse(c, err)
		default:
			faults := faultsOf(err)
			faults = faults[:min(len(faults), mostProblems)]
			wrong(c, http.StatusBadRequest, faults)
		}
	}, nil
}

// faultsOf names the fields in a validation error.
func faultsOf(err error) fault.Fields {
	var many openapi3.MultiError
	var one *openapi3.SchemaError
	var request *openapi3filter.RequestError
	var parse *openapi3filter.ParseError
	switch {
	case errors.As(err, &request) && request.Parameter != nil:
		return fault.Fields{
			{Name: request.Parameter.Name, Value: say.Of(inTheAddress), Want: wanted(request.Parameter)},
		}
	case errors.As(err, &many):
		var all fault.Fields
		for _, e := range many {
			all = append(all, faultsOf(e)...)
		}
		return all
	case errors.As(err, &one):
		return fault.Fields{schemaFault(one)}
	case errors.As(err, &parse):
		return fault.Fields{
			{
				Name:  "body",
				Value: say.Of(somethingElse),
				Want:  say.Of(mustBeJSON, say.Args{"err": say.Name(parse.Error())}),
			},
		}
	default:
		return fault.Fields{{Name: "body", Value: say.Of(anotherKind), Want: say.Of(mustBeJSONObject)}}
	}
}

// wanted says in words what a parameter of the address must be.
func wanted(p *openapi3.Parameter) say.Line {
	if p.Schema == nil || p.Schema.Value == nil {
		return say.Of(mustBeGiven)
	}
	switch s := p.Schema.Value; {
	case s.Format == "uuid":
		return say.Of(mustBeTheID)
	case len(s.Enum) > 0:
		return fault.AnyOf(s.Enum)
	case s.Type.Is("integer") && s.Min != nil && s.Max != nil:
		return say.Of(mustBeWholeFrom, say.Args{"low": say.Number(*s.Min), "high": say.Number(*s.Max)})
	case s.Type.Is("integer"):
		return say.Of(mustBeWhole)
	case s.Type.Is("number"):
		return say.Of(mustBeNumber)
	case s.Type.Is("boolean"):
		return say.Of(mustBeTrueOrFalse)
	case s.Type.Is("array"):
		return say.Of(mustBeNumbers, say.Args{"name": say.Name(p.Name)})
	default:
		return say.Of(mustBeOtherwise)
	}
}

// named finds the property in the validator's words on one that is missing or unknown.
var named = regexp.MustCompile(`property "([^"]*)" is (missing|unsupported)`)

func schemaFault(e *openapi3.SchemaError) fault.Field {
	path := e.JSONPointer()
	f := fault.Field{Value: shown(e.Value), Want: say.Plain(e.Reason)}
	hit := named.FindStringSubmatch(e.Reason)
	switch {
	case hit != nil && hit[2] == "unsupported":
		path, f.Value, f.Want = append(path, hit[1]), say.Of(unknownField), say.Of(noFieldHere)
	case hit != nil:
		if len(path) == 0 || path[len(path)-1] != hit[1] {
			path = append(path, hit[1])
		}
		f.Value, f.Want = say.Of(nothingGiven), say.Of(mustBeGiven)
	case e.SchemaField == "nullable":
		f.Value, f.Want = "null", say.Of(mustBeGivenOrOut)
	case e.SchemaField == "enum":
		f.Want = fault.AnyOf(e.Schema.Enum)
	case e.SchemaField == "type":
		f.Want = say.Of(mustBeOfType, say.Args{"type": say.Name(strings.Join(e.Schema.Type.Slice(), " / "))})
	case e.SchemaField == "format" && e.Schema.Format == "uuid":
		f.Want = say.Of(mustBeAnID)
	case e.SchemaField == "format" && e.Schema.Format == "date-time":
		f.Want = say.Of(mustBeInstant)
	case e.SchemaField == "format" && e.Schema.Format == "date":
		f.Want = say.Of(mustBeDate)
	}
	f.Name = fieldName(path)
	return f
}

// shown is a refused value as a person would write it.
func shown(value any) any {
	switch v := value.(type) {
	case map[string]any:
		return say.Of(anObject)
	case []any:
		return say.Of(aListOf, say.Args{"n": say.Count(len(v))})
	case nil:
		return say.Of(nothingGiven)
	default:
		return fault.Short(fmt.Sprint(v))
	}
}

// fieldName writes a path as the contract's users do: nails[0].gap_mm.
func fieldName(path []string) string {
	var name strings.Builder
	for _, step := range path {
		switch {
		case strings.Trim(step, "0123456789") == "":
			name.WriteString("[" + step + "]")
		case name.Len() > 0:
			name.WriteString("." + step)
		default:
			name.WriteString(step)
		}
	}
	if name.Len() == 0 {
		return "body"
	}
	return name.String()
}
