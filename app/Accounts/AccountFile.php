<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Drawers\DrawerKeeper;
use App\Models\BookRecipeRow;
use App\Models\HandVersion;
use App\Models\PracticeAttempt;
use App\Models\User;
use App\Studies\StudyFileWriter;
use Illuminate\Support\Str;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Formats\Drawers\Json;

/**
 * All of an account as one zip: its drawer, its artist's hand, its book and what was practised in account.json
 * (docs/schemas/account.schema.json), and a study file for every study.
 */
final class AccountFile
{
    public const FORMAT = 'knotty-prism-account';

    public const VERSION = 1;

    public const INDEX = 'account.json';

    /** What can be brought in; nothing larger is written. */
    public const MOST_KILOBYTES = 153_600;

    /** What is kept of what strips have taught of a hand. */
    public const HAND = ['paper', 'number', 'in_use', 'strips', 'hand', 'words', 'rms_before', 'rms_after'];

    public function __construct(private readonly DrawerKeeper $drawers, private readonly StudyFileWriter $studies)
    {
    }

    /**
     * @return string the path of the file, which whoever asked removes
     *
     * @throws ImpossibleChange when it would be larger than can be brought in
     */
    public function write(User $user): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'kp-account');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::OVERWRITE);
        $names = $parts = [];
        try {
            foreach ($user->studies()->orderBy('id')->pluck('id')->all() as $id) {
                // One study at a time is held, and read by itself: photos make it large.
                $study = $user->studies()->whereKey($id)->firstOrFail();
                $parts[] = $part = (string) tempnam(sys_get_temp_dir(), 'kp-study');
                file_put_contents($part, $this->studies->write($user, $study));
                $names[$study->id] = sprintf('studies/%d-%s.study.json', count($names) + 1, Str::slug($study->name) ?: 'study');
                $zip->addFile($part, $names[$study->id]);
            }
            $zip->addFromString(
                self::INDEX,
                json_encode($this->index($user, $names), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE),
            );
            $zip->close();
        } finally {
            array_map(unlink(...), $parts);
        }
        clearstatcache(true, $path);
        if (filesize($path) > 1024 * self::MOST_KILOBYTES) {
            unlink($path);
            throw ImpossibleChange::because(
                'All of it together is more than 150 MB. Save the studies one by one, under “Plan”, “Print & files”.',
            );
        }

        return $path;
    }

    /**
     * @param  array<int, string>  $studies  files by study
     * @return array<string, mixed>
     */
    private function index(User $user, array $studies): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'studies' => array_values($studies),
            'pencils' => Json::pencils($this->drawers->shelfRows($user)),
            'hands' => array_values(
                HandVersion::query()
                    ->where('user_id', $user->id)
                    ->orderBy('id')
                    ->get(self::HAND)
                    ->map(static fn (HandVersion $h): array => $h->only(self::HAND))
                    ->all(),
            ),
            'recipes' => array_values(
                BookRecipeRow::query()
                    ->where('user_id', $user->id)
                    ->orderBy('id')
                    ->get()
                    ->map(
                        static fn (BookRecipeRow $r): array => [
                            ...$r->only(['name', 'words', 'paper', 'shades', 'pencils', 'outcome', 'cutout']),
                            'passes' => $r->recipe()->passes->toArray(),
                            'study' => $studies[$r->study_id] ?? null,
                            'kept' => $r->created_at->getTimestamp(),
                        ],
                    )
                    ->all(),
            ),
            'practice' => array_values(
                PracticeAttempt::query()
                    ->where('user_id', $user->id)
                    ->orderBy('id')
                    ->get()
                    ->map(
                        static fn (PracticeAttempt $a): array => [
                            'study' => $studies[$a->study_id] ?? null,
                            'skill' => $a->skill,
                            'difficulty' => $a->difficulty,
                            'seed' => $a->seed,
                            'right' => $a->right,
                            'made_at' => $a->made_at,
                        ],
                    )
                    ->all(),
            ),
        ];
    }
}
