<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use HiddenWire\Core\Rig\Format\PlainText;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a form sends is text, but for a few fields that are lists or tables. Anything else of another shape counts as not sent, and bytes
 * that are no text (invalid UTF-8, zeros, code points that are no characters) go, so that nothing behind has to expect them.
 */
final class PlainInput
{
    /** Fields that are lists or tables. */
    private const SHAPED = [
        'also', 'answers', 'cables', 'columns', 'ducked_by', 'except', 'files', 'geometry', 'lines', 'listens', 'marks', 'needs', 'off_for',
        'parts', 'processing', 'roles', 'sheets', 'situations', 'starts', 'tells', 'ticks', 'units',
    ];

    /** No table of a form is deeper, no layout of a map either. */
    private const DEEPEST = 8;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ([$request->query, $request->request, ...($request->isJson() ? [$request->json()] : [])] as $bag) {
            $plain = [];
            foreach ($bag->all() as $key => $value) {
                if (! is_array($value) || in_array($key, self::SHAPED, true)) {
                    $plain[mb_scrub((string) $key)] = $this->plain($value, 0);
                }
            }
            $bag->replace($plain);
        }

        return $next($request);
    }

    private function plain(mixed $value, int $depth): mixed
    {
        return match (true) {
            is_string($value) => PlainText::withoutNoCharacters(str_replace("\0", '', mb_scrub($value))),
            is_array($value) && $depth < self::DEEPEST => array_map(fn (mixed $one) => $this->plain($one, $depth + 1), $value),
            is_array($value), is_object($value) => null,
            default => $value,
        };
    }
}
