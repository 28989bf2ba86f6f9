<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Rig\Altered;

/** A note is about something that exists, and is made once. */
final class PaperRule implements Rule
{
    public function reads(): array
    {
        return [...Altered::TOLD_OF, Altered::PAPERS];
    }

    public function check(Fit $in): void
    {
        $seen = $ids = $evidence = [];
        foreach ($in->parts->papers->reasons as $i => $reason) {
            $about = (string) $reason->about;
            if (isset($seen[$about])) {
                $in->problem("/reasons/{$i}/about", "There is a reason for this already: /reasons/{$seen[$about]}.");
            }
            $seen[$about] = $i;
            // What could not be read may be what it is about.
            if ($in->unreadable === [] && ! $reason->about->isIn($in->parts)) {
                $in->problem("/reasons/{$i}/about", "There is nothing at \"{$about}\".");
            }
        }
        foreach ($in->parts->papers->steps as $i => $step) {
            if (isset($ids[$step->id])) {
                $in->problem(
                    "/steps/{$i}/id",
                    "The id \"{$step->id}\" is taken by /steps/{$ids[$step->id]}; ids are unique among steps.",
                );
            }
            $ids[$step->id] = $i;
        }
        $facts = [];
        foreach ($in->parts->papers->facts as $i => $fact) {
            if (isset($facts[$fact->key()])) {
                $in->problem("/facts/{$i}", "There is a fact about this already: /facts/{$facts[$fact->key()]}.");
            }
            $facts[$fact->key()] = $i;
            foreach (array_filter(['about' => $fact->about, 'with' => $fact->with]) as $key => $ref) {
                if ($in->unreadable === [] && ! $ref->isIn($in->parts)) {
                    $in->problem("/facts/{$i}/{$key}", "There is nothing at \"{$ref}\".");
                }
            }
            if ((string) $fact->with === (string) $fact->about) {
                $in->problem("/facts/{$i}/with", 'A thing fits another, not itself.');
            }
        }
        $measures = [];
        foreach ($in->parts->papers->measures as $i => $measure) {
            if (isset($measures[$measure->key()])) {
                $in->problem("/measures/{$i}", "There is one of this kind already: /measures/{$measures[$measure->key()]}.");
            }
            $measures[$measure->key()] = $i;
            if (! $measure->kind->isOf($measure->about)) {
                $in->problem("/measures/{$i}/kind", "This can't be said of \"{$measure->about}\".");
            } elseif ($in->unreadable === [] && ! $measure->about->isIn($in->parts)) {
                $in->problem("/measures/{$i}/about", "There is nothing at \"{$measure->about}\".");
            }
        }
        foreach ($in->parts->papers->accepted as $i => $one) {
            if (isset($evidence[$one->evidence])) {
                $in->problem("/accepted/{$i}/evidence", "This finding is accepted already: /accepted/{$evidence[$one->evidence]}.");
            }
            $evidence[$one->evidence] = $i;
        }
    }
}
