<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Rig;
use App\ViewModels\RigPage;
use App\ViewModels\WishImport;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;

/** Sounds and wishes from a spreadsheet: what a file or a pasted table would make, before anything is made. */
final class WishImportController
{
    public function __invoke(Request $request, Rig $rig): View
    {
        Gate::authorize('update', $rig);
        $file = $request->file('file');
        $csv = $file instanceof UploadedFile && $file->isValid() ? $file->getContent() : $request->string('csv')->toString();
        $page = new RigPage($rig, 'import-wishes', $request);

        return view('rigs.import-wishes', ['page' => $page, 'import' => new WishImport($page->rig, $csv)]);
    }
}
