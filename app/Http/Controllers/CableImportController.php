<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Rig;
use App\ViewModels\CableImport;
use App\ViewModels\RigPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;

/** Cables from a spreadsheet. */
final class CableImportController
{
    /** A CSV file of cables: what it would make, before anything is made. */
    public function __invoke(Request $request, Rig $rig): View
    {
        Gate::authorize('update', $rig);
        $file = $request->file('file');
        $csv = $file instanceof UploadedFile && $file->isValid() ? $file->getContent()
            : $request->string('csv')->toString();
        $columns = $request->input('columns');
        $page = new RigPage($rig, 'import-cables', $request);

        return view('rigs.import-cables', [
            'page' => $page,
            'import' => new CableImport(
                $page->rig,
                $csv,
                is_array($columns) ? array_map(strval(...), array_filter($columns, is_scalar(...))) : [],
            ),
        ]);
    }
}
