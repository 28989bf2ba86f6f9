<?php

declare(strict_types=1);

namespace App\Http\Edits;

use App\Rigs\Heard;
use HiddenWire\Core\Edit\AddListener;
use HiddenWire\Core\Edit\AddSource;
use HiddenWire\Core\Edit\MarkWish;
use HiddenWire\Core\Edit\PlaceListener;
use HiddenWire\Core\Edit\PlaceSound;
use HiddenWire\Core\Edit\RemoveListener;
use HiddenWire\Core\Edit\RemoveSound;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\BreakFinder;
use HiddenWire\Core\Signal\CutFinder;
use HiddenWire\Core\Signal\Verdict;

/** Changes of sounds, listeners and what is wished for them. */
final class WishForms
{
    /** @return list<RigEdit> */
    public static function wish(EditFields $in): array
    {
        $want = $in->text('want', 10) === 'none' ? null : $in->choice('want', Want::class, 'Choose must, may, must not, or none.');

        return [new SetWish($in->oneOrAll('source', $in->rig->sources), $in->oneOrAll('listener', $in->rig->listeners), $want, $in->situation())];
    }

    /** @return list<RigEdit> */
    public static function mark(EditFields $in): array
    {
        return [new MarkWish($in->known('source', $in->rig->sources), $in->known('listener', $in->rig->listeners), $in->flag('own_level') ?? false, $in->flag('alone') ?? false)];
    }

    /** @return list<RigEdit> */
    public static function addSource(EditFields $in): array
    {
        return [new AddSource($in->name(), $in->choiceOrNone('kind', SourceKind::class) ?? SourceKind::Other, $in->pointOrNone('at'))];
    }

    /** @return list<RigEdit> */
    public static function addListener(EditFields $in): array
    {
        return [new AddListener($in->name(), $in->choiceOrNone('kind', ListenerKind::class) ?? ListenerKind::Headphones, $in->pointOrNone('at'))];
    }

    /** @return list<RigEdit> */
    public static function placeSound(EditFields $in): array
    {
        return [new PlaceSound($in->known('source', $in->rig->sources), $in->point('at'), $in->flag('away') === true ? null : $in->decibels('db') ?? Decibels::zero())];
    }

    /** @return list<RigEdit> */
    public static function placeListener(EditFields $in): array
    {
        return [new PlaceListener($in->known('listener', $in->rig->listeners), $in->point('at'), $in->flag('away') !== true)];
    }

    /** @return list<RigEdit> */
    public static function removeSource(EditFields $in): array
    {
        return [new RemoveSound($in->known('source', $in->rig->sources))];
    }

    /** @return list<RigEdit> */
    public static function removeListener(EditFields $in): array
    {
        return [new RemoveListener($in->known('listener', $in->rig->listeners))];
    }

    /**
     * The remedy that the way strip shows for a pair.
     *
     * @return list<RigEdit>
     */
    public static function remedy(EditFields $in): array
    {
        $situation = $in->situation() ?? array_key_first($in->rig->situations);
        $hearing = Heard::in($in->rig, $in->rig->situations[$situation]);
        $pair = $hearing->pair($in->known('source', $in->rig->sources), $in->known('listener', $in->rig->listeners));
        $edits = $pair->verdict === Verdict::Missing
            ? array_map(fn ($change) => $change->edit, (new BreakFinder($hearing->graph))->between($pair->source, $pair->listener)->changes ?? [])
            : array_map(fn ($change) => $change->edit, (new CutFinder($hearing))->of($pair)->changes);
        $made = array_values(array_filter($edits));

        return $made === [] || count($made) < count($edits) ? $in->refuse('edit', 'There is no remedy here that can be made with one click.') : $made;
    }
}
