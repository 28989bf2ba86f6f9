<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Limits\Limits;
use App\Models\Picture;
use App\Models\Rig;
use App\Rigs\Pictures;
use App\Rigs\StoredRig;
use App\Rigs\UnreadablePicture;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Pictures of how a unit is set. */
final class PictureController
{
    public function store(Request $request, Rig $rig, Pictures $pictures): RedirectResponse
    {
        Gate::authorize('update', $rig);
        $unit = $request->string('unit')->toString();
        isset(StoredRig::load($rig)->units[$unit]) || abort(404);
        $caption = $request->validate(['caption' => ['nullable', 'string', 'max:120']])['caption'] ?? '';
        $file = $request->file('picture');
        try {
            if (! $file instanceof UploadedFile || ! $file->isValid() || $file->getSize() > Pictures::MAX_BYTES) {
                throw new UnreadablePicture($file instanceof UploadedFile ? 'The picture is larger than 8 MB.' : 'Choose a picture first.');
            }
            $limit = Limits::pictures($rig->owner() ?? abort(404));
            if (! $limit->has()) {
                throw new UnreadablePicture($limit->refusal());
            }
            $pictures->keep($rig, $unit, $request->user() ?? abort(401), $file->getContent(), $caption);
        } catch (UnreadablePicture $e) {
            return back()->withErrors(['picture' => $e->getMessage()]);
        }

        return back()->with('said', 'The picture is kept.');
    }

    public function show(Rig $rig, Picture $picture): StreamedResponse
    {
        Gate::authorize('view', $rig);
        abort_unless(Storage::exists($picture->path()), 404);

        return Storage::response(
            $picture->path(),
            "{$picture->unit}-{$picture->id}.jpg",
            ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400'],
        );
    }

    public function destroy(Rig $rig, Picture $picture, Pictures $pictures): RedirectResponse
    {
        Gate::authorize('update', $rig);
        $pictures->remove($picture);

        return back()->with('said', 'The picture is deleted.');
    }
}
