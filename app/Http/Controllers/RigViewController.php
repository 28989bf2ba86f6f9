<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\KeptPage;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\ViewModels\CableTable;
use App\ViewModels\ChecksPage;
use App\ViewModels\Computers;
use App\ViewModels\ControlsPage;
use App\ViewModels\DependencePage;
use App\ViewModels\Doubts;
use App\ViewModels\DownloadsPage;
use App\ViewModels\LevelsPage;
use App\ViewModels\NamesPage;
use App\ViewModels\RecipesPage;
use App\ViewModels\ReturnsPage;
use App\ViewModels\RigPage;
use App\ViewModels\ShoppingPage;
use App\ViewModels\ShowPage;
use App\ViewModels\SituationsPage;
use App\ViewModels\Step;
use App\ViewModels\Stock;
use App\ViewModels\TracksPage;
use App\ViewModels\WishesPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** The views of a rig that show its page and one thing more. */
final class RigViewController
{
    /** Those that have an address here. */
    public const STEPS = [
        Step::Wishes, Step::Stock, Step::Computers, Step::Recipes, Step::Names, Step::Tracks, Step::Levels, Step::Controls, Step::Checks,
        Step::Returns,
        Step::Dependence, Step::Situations, Step::ShowPage, Step::Doubts, Step::Cables, Step::Shopping, Step::Downloads,
    ];

    public function __invoke(Request $request, Rig $rig, string $step): Response
    {
        Gate::authorize('view', $rig);
        /** @var view-string $view */
        $view = "rigs.{$step}";

        return KeptPage::of($request, $rig, $step, fn (RigPage $page): View => view($view, [
            'page' => $page,
            ...$this->more(Step::from($step), $page, $request->user() ?? abort(401)),
        ]));
    }

    /** @return array<string, mixed> what the view shows beside the page */
    private function more(Step $step, RigPage $page, User $user): array
    {
        return match ($step) {
            Step::Wishes => ['table' => new WishesPage($page)],
            Step::Stock => ['stock' => new Stock($page, fn () => CatalogueFiles::with($user))],
            Step::Computers => ['list' => new Computers($page, CatalogueFiles::programsWith($user))],
            Step::Recipes => ['recipes' => new RecipesPage($page)],
            Step::Names => ['names' => new NamesPage($page)],
            Step::Tracks => ['tracks' => new TracksPage($page)],
            Step::Levels => ['levels' => new LevelsPage($page)],
            Step::Controls => ['controls' => new ControlsPage($page)],
            Step::ShowPage => ['show' => new ShowPage($page)],
            Step::Checks => ['checks' => new ChecksPage($page)],
            Step::Returns => ['returns' => new ReturnsPage($page)],
            Step::Dependence => ['depends' => new DependencePage($page)],
            Step::Situations => ['table' => new SituationsPage($page)],
            Step::Doubts => ['doubts' => new Doubts($page)],
            Step::Shopping => ['shopping' => new ShoppingPage($page)],
            Step::Downloads => ['downloads' => new DownloadsPage($page)],
            Step::Cables => ['table' => new CableTable($page->rig, (int) $page->asked('page'), $page->lengths)],
            default => abort(404),
        };
    }
}
