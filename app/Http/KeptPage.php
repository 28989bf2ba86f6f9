<?php

declare(strict_types=1);

namespace App\Http;

use App\Jobs\HearOn;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\Causes;
use App\Rigs\CoreBuild;
use App\Rigs\Heard;
use App\Rigs\KeptByState;
use App\Rigs\StoredRig;
use App\ViewModels\MapDepth;
use App\ViewModels\RigPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * The page of a rig's view as it was made for the same person, address and state a little while ago. All that it is made from stands in its
 * name: the rig's state, who looks and what they may do, the address, what is kept beside the document. Tests make each page again and hold
 * it against the one that was kept (`app.compare_pages`).
 */
final readonly class KeptPage
{
    private const SECONDS = 600;

    /** Stands in a kept page for the token of its forms: no text of a person's has a zero byte. */
    private const TOKEN = "\0token\0";

    private string $name;

    private function __construct(
        private Request $request,
        private Rig $rig,
        private User $user,
        private string $step,
        private string $besides,
    ) {
        $this->name = $this->nameNow();
    }

    /**
     * @param  string  $besides  what only this view is made from
     * @param  \Closure(RigPage): View  $make
     */
    public static function of(Request $request, Rig $rig, string $step, \Closure $make, string $besides = ''): Response
    {
        $user = $request->user() ?? abort(401);
        $kept = new self($request, $rig, $user, $step, $besides);

        $view = null;
        $response = new Response($kept->html(function () use ($request, $rig, $step, $make, &$view): array {
            $page = new RigPage($rig, $step, $request);
            $view = $make($page);

            return self::made($page, $view);
        }));
        // As of every answer that is a view.
        $response->original = $view ?? $response->original;

        return $response;
    }

    /** @return array{situation: string, hearingOn: string|null, html: string} */
    private static function made(RigPage $page, View $view): array
    {
        return [
            'situation' => $page->situation->id,
            'hearingOn' => $page->hearingOn(),
            'html' => str_replace(FormToken::masked(), self::TOKEN, $view->render()),
        ];
    }

    /**
     * @param  \Closure(): array{situation: string, hearingOn: string|null, html: string}  $make
     *
     * @throws \LogicException in tests, when the page that was kept is not the one that would be made now
     */
    private function html(\Closure $make): string
    {
        $kept = $this->kept();
        if ($kept === null) {
            $made = $make();
            // Somebody may have found causes meanwhile: what was made then has another name.
            if ($this->isUsual() && $this->nameNow() === $this->name) {
                KeptByState::tidyNowAndThen();
                Cache::put($this->name, [...$made, 'html' => gzcompress($made['html'], 1)], self::SECONDS);
            }
        } else {
            $made = $kept;
            $again = config('app.compare_pages') ? $make() : $made;
            if ($again['html'] !== $made['html'] && $this->nameNow() === $this->name && $this->kept() !== null) {
                $where = self::difference($made['html'], $again['html']);
                throw new \LogicException("A kept page of {$this->request->path()} is out of date: {$where}");
            }
        }

        return str_replace(self::TOKEN, FormToken::masked(), $made['html']);
    }

    /**
     * Null where there is none, or it tells of earlier things.
     *
     * @return array{situation: string, hearingOn: string|null, html: string}|null
     */
    private function kept(): ?array
    {
        /** @var array{situation: string, hearingOn: string|null, html: string}|null $kept */
        $kept = $this->isUsual() ? Cache::get($this->name) : null;
        if ($kept === null || ! Heard::isNoted($this->rig, $kept['situation'])
            || HearOn::standing($this->rig, $kept['situation']) !== $kept['hearingOn']) {
            return null;
        }
        $html = @gzuncompress($kept['html']);

        return $html === false ? null : ['html' => $html] + $kept;
    }

    /** Whether the page says nothing that is said only once, and the rig can be read. */
    private function isUsual(): bool
    {
        return $this->rig->trouble === null && ! $this->request->session()->hasAny(['said', 'errors', 'link']);
    }

    private function nameNow(): string
    {
        $marks = self::marks($this->rig, $this->user);

        return 'page:'.hash('xxh128', serialize([
            $marks, StoredRig::stateOf($this->rig), $this->rig->at, CoreBuild::pageStamp(), Causes::areKnown($this->rig),
            $this->user->id, $this->user->name, $this->user->lengths,
            $this->rig->roleOf($this->user), MapDepth::lookedAt($this->request, $this->rig->id),
            $this->request->getSchemeAndHttpHost(), $this->step, $this->request->query(), $this->besides,
        ]));
    }

    /**
     * In one question, with what the state's name and the frame of the page would ask for else.
     *
     * @return array<string, mixed> what changes beside a rig's document and shows in its pages, in short
     */
    private static function marks(Rig $rig, User $user): array
    {
        $marks = (array) DB::query()
            ->selectSub(StoredRig::identities(), 'identity')
            ->selectSub(DB::table('test_runs')->where('rig_id', $rig->id)->selectRaw('count(*) > 0'), 'tested')
            ->selectSub(DB::table('pictures')->where('rig_id', $rig->id)
                ->selectRaw("concat(count(*), ':', coalesce(max(id), 0))"), 'pictures')
            ->selectSub(DB::table('own_models')->where('user_id', $user->id)
                ->selectRaw('md5(group_concat(concat(hex(`key`), md5(document)) order by id))'), 'models')
            ->first();
        StoredRig::identify((string) $marks['identity']);
        $rig->noteTested((bool) $marks['tested']);

        return $marks;
    }

    private static function difference(string $kept, string $again): string
    {
        $at = strspn($kept ^ $again, "\0");

        return mb_scrub(substr($kept, max(0, $at - 60), 160)).' … '.mb_scrub(substr($again, max(0, $at - 60), 160));
    }
}
