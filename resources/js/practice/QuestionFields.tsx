import type { Practice, Question } from '@/api/types';
import { Field } from '@/ui/Field';

interface Props {
    questions: Question[];
    value: Practice;
    onChange: (practice: Practice) => void;
    /** What holds where nothing is chosen here, as the empty choice says it. */
    otherwise: (question: Question) => string;
    onLook?: (question: Question) => void;
}

/** One select for each question good instructors answer differently. Numbers stay numbers. */
export function QuestionFields({ questions, value, onChange, otherwise, onLook }: Props) {
    const choose = (question: Question, chosen: string) => {
        const { [question.key]: _, ...rest } = value;
        onChange(chosen === '' ? rest : { ...rest, [question.key]: /^\d+$/.test(chosen) ? Number(chosen) : chosen });
    };
    return questions.map((question) => (
        <Field key={question.key} label={question.text}>
            <select
                value={String(value[question.key] ?? '')}
                onFocus={() => onLook?.(question)}
                onChange={(event) => {
                    choose(question, event.target.value);
                    onLook?.(question);
                }}
            >
                <option value="">{otherwise(question)}</option>
                {question.options.map((option) => (
                    <option key={option.value} value={option.value}>
                        {option.words}
                    </option>
                ))}
            </select>
        </Field>
    ));
}
