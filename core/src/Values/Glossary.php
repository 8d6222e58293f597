<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** Terms of the trade with their explanations, from core/data/glossary.json. The page shows the same file. */
final readonly class Glossary
{
    /**
     * @param  array<string, string>  $terms  explanation by term
     */
    private function __construct(public array $terms) {}

    public static function read(): self
    {
        $document = json_decode(
            (string) file_get_contents(dirname(__DIR__, 2) . '/data/glossary.json'),
            true,
            flags: JSON_THROW_ON_ERROR,
        );
        $terms = [];
        foreach (is_array($document) && is_array($document['terms'] ?? null) ? $document['terms'] : [] as $entry) {
            if (is_array($entry) && is_string($entry['term'] ?? null) && is_string($entry['text'] ?? null)) {
                $terms[$entry['term']] = $entry['text'];
            }
        }

        return new self($terms);
    }

    /** docs/glossary.md, in Markdown. */
    public function markdown(): string
    {
        $rows = '';
        foreach ($this->terms as $term => $text) {
            $rows .= "- **{$term}**: {$text}\n";
        }

        return "# Glossary\n\nOne term for one thing, on screens, in code, docs and commands. The find box (`/`) shows the same entries.\n" .
            "Made from `core/data/glossary.json` by `bin/sources`.\n\n{$rows}";
    }
}
