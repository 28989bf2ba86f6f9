<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\OwnModel;
use App\Models\Picture;
use App\Models\Rig;
use App\Models\User;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/** Everything that a person made, as one archive: each rig's document and pictures, and their own equipment models. */
final class RigArchive
{
    /**
     * @return string path of a temporary file, the caller's to delete
     *
     * @throws \RuntimeException when it can't be written
     */
    public function of(User $user): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'rigs');
        $zip = new \ZipArchive;
        if ($zip->open($path, \ZipArchive::OVERWRITE) !== true) {
            throw new \RuntimeException("The archive {$path} can't be written.");
        }
        $zip->addFromString(
            'README.txt',
            "What {$user->name} made with Hidden Wire: rigs as documents (each can be imported again), pictures of units, own equipment "
                ."models.\n",
        );
        foreach ($user->rigs()->with('pictures')->orderBy('id')->get() as $rig) {
            $this->rig($zip, $rig);
        }
        foreach ($user->ownModels()->orderBy('key')->get() as $model) {
            /** @var OwnModel $model */
            $zip->addFromString("models/{$model->key}.json", $model->document);
        }
        $zip->close();

        return $path;
    }

    private function rig(\ZipArchive $zip, Rig $rig): void
    {
        $folder = "rigs/{$rig->id}-".(Str::slug($rig->name) ?: 'rig');
        $zip->addFromString("{$folder}/rig.json", (string) Recovery::document($rig));
        foreach ($rig->pictures as $picture) {
            /** @var Picture $picture */
            $data = Storage::get($picture->path());
            if ($data !== null) {
                $zip->addFromString("{$folder}/{$picture->unit}-{$picture->id}.jpg", $data);
            }
        }
    }
}
