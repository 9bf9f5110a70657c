/** The texts of the interface, as they stand in the sources: what is shown between tags, and what is said in quotes. */
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

const ROOT = new URL('../../', import.meta.url).pathname;

const files = (dir) =>
    readdirSync(dir).flatMap((name) => {
        const path = join(dir, name);
        return statSync(path).isDirectory() ? files(path) : [path];
    });

/** Attributes and calls whose strings are no words for anybody. */
const SILENT = new Set(['className', 'd', 'viewBox', 'fill', 'stroke', 'strokeDasharray', 'transform', 'style', 'href', 'to', 'id', 'points', 'key', 'type']);

const isText = (text) => /\p{L}{2,}/u.test(text) && !/^[a-z0-9-]+$/.test(text) && !/^[a-z]+([A-Z][a-z]+)+$/.test(text) && !/[{}<>=]|^\/|^@|--|\d(px|rem)\b|^\.|#[0-9a-f]{3}/.test(text);

function textsOf(path) {
    const found = new Set();
    const add = (raw) => {
        const text = raw.replace(/\s+/g, ' ').trim();
        if (isText(text)) found.add(text);
    };
    const walk = (node) => {
        if (ts.isImportDeclaration(node) || ts.isTypeNode(node) || ts.isTypeAliasDeclaration(node) || ts.isInterfaceDeclaration(node)) return;
        if (ts.isJsxAttribute(node) && SILENT.has(node.name.getText())) return;
        if (ts.isJsxText(node)) add(node.text);
        else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
            // One word in quotes is more often a code than a word.
            if (/\s/.test(node.text.trim()) || ts.isJsxAttribute(node.parent)) add(node.text);
        } else if (ts.isTemplateExpression(node)) {
            add(node.head.text + node.templateSpans.map((span) => '…' + span.literal.text).join(''));
        }
        ts.forEachChild(node, walk);
    };
    walk(ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true, path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS));
    return [...found];
}

process.stdout.write('\n## Interface\n');
for (const path of files(join(ROOT, 'resources/js')).sort()) {
    if (!/\.tsx?$/.test(path) || /\.test\.|\/testing\/|\/api\/contract|\/api\/|main\.tsx/.test(path)) continue;
    const texts = textsOf(path);
    if (texts.length > 0) process.stdout.write(`\n### \`${path.slice(ROOT.length)}\`\n\n- ${texts.join('\n- ')}\n`);
}
