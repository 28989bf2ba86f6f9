<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Rigs\CatalogueFiles;
use App\ViewModels\ModelDrawing;
use App\ViewModels\Stock;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The equipment models that come with the application. */
final class CatalogueController
{
    public function index(Request $request): View
    {
        $models = CatalogueFiles::catalogue()->models;
        $text = mb_strtolower(trim(is_string($request->query('q')) ? $request->query('q') : ''));
        $family = Family::tryFrom(is_string($request->query('family')) ? $request->query('family') : '');
        $found = array_filter($models, fn (EquipmentModel $model) => Stock::answers($model, $text, $family, null));
        $chosen = $models[is_string($request->query('model')) ? $request->query('model') : ''] ?? null;

        return view('catalogue.index', [
            'found' => $found,
            'total' => count($models),
            'text' => $text,
            'family' => $family,
            'chosen' => $chosen,
            'drawing' => $chosen === null ? null : new ModelDrawing($chosen),
        ]);
    }
}
