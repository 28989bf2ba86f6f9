<?php

declare(strict_types=1);

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Parts;
use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Export\Markdown;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;
use Tests\Support\EveryField;

/** Fields whose change leaves no trace in the book, each with the reason. At most one in twenty. */
const NO_TRACE = [
    'format' => 'says what kind of file it is', 'version' => 'says what kind of file it is',
    'places[].id' => 'a handle: people read the name', 'units[].id' => 'a handle: people read the name',
    'units[].effects[].id' => 'a handle: people read the name and the place in the chain',
    'units[].scenes[].id' => 'a handle: people read the name', 'units[].pictures[].id' => 'a handle: people read the name',
    'cables[].id' => 'a handle: people read the label', 'sources[].id' => 'a handle: people read the name',
    'listeners[].id' => 'a handle: people read the name', 'situations[].id' => 'a handle: people read the name',
    'steps[].id' => 'a handle: people read the step', 'controls[].id' => 'a handle: people read the name',
    'models{}.settings[].effects[].coded' => 'it is all that such an effect says: it can\'t be changed by itself',
    'situations[].defaults[].computer' => 'follows from the device: it can\'t be changed by itself',
    'situations[].defaults[].direction' => 'follows from the device: it can\'t be changed by itself',
];

/** The rig that has one of everything, with the evidence of findings that it has now. */
function everything(): string
{
    $text = (string) file_get_contents(dirname(__DIR__).'/Support/everything.json');
    $findings = Examination::of(new Hearings((new DocumentReader)->read($text)))->findings;

    return strtr($text, ['127b694474fd8289' => $findings[0]->evidence(), '831da8de35300216' => $findings[1]->evidence()]);
}

it('leaves a trace of every field of a document in the book', function () {
    $every = new EveryField(['everything' => everything()]);
    $findings = Examination::of(new Hearings($every->rig('everything')))->findings;
    $keys = array_keys(Parts::all());
    $of = fn (Rig $rig): BookInput => new BookInput($rig, causes: fn () => [], findings: fn () => $findings, usual: fn () => false);
    $part = fn (string $key, BookInput $of): string => (new Markdown([$key]))->write($of);
    $original = $of($every->rig('everything'));
    $plain = array_combine($keys, array_map(fn (string $key) => $part($key, $original), $keys));
    $told = [];
    $isTold = function (string $path) use ($every, $of, $part, $plain, &$told): bool {
        // What is next to it is likely described in the same part: that is looked at first. Models are described in the appendix.
        $beside = preg_replace('~\.[^.]*$~', '', $path);
        $first = $told[$beside] ?? (str_starts_with($path, 'models') ? ['models' => true] : []);
        $tries = 0;
        foreach ($every->changed($path) as $rig) {
            $changed = $of($rig);
            foreach (array_replace($first, $plain) as $key => $was) {
                if ($part($key, $changed) !== $was) {
                    $told[$beside][$key] = true;

                    return true;
                }
            }
            if (++$tries === 10) {
                break;
            }
        }

        return false;
    };
    $others = array_diff(array_keys($every->fields), array_keys(NO_TRACE));
    expect(array_values(array_filter($others, fn (string $path) => ! $isTold($path))))->toBe([])
        ->and(array_diff(array_keys(NO_TRACE), array_keys($every->fields)))->toBe([])
        ->and(count($every->fields))->toBeGreaterThan(360)
        ->and(count(NO_TRACE) / count($every->fields))->toBeLessThanOrEqual(0.05);
});
