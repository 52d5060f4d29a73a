// machair-cli-pages: the manual page and the completions of machair-cli, made of the same verbs and options that it reads,
// so that they can't disagree; and the guide's chapter of the numbers, of the rules that answer for them (docs/guide/numbers.md).
// Used by the build; not installed.
#include <algorithm>
#include <string_view>

#include "asking/day.h"
#include "cli/verb.h"

namespace {

using namespace machair::cli;

// Text in a manual page: a dash is a dash, and no line starts with a request.
std::string roff(std::string_view text) {
    std::string safe = text.starts_with('.') || text.starts_with('\'') ? "\\&" : "";
    for (const char c : text) {
        if (c == '-')
            safe += "\\-";
        else if (c == '\\')
            safe += "\\e";
        else
            safe += c;
    }
    return safe;
}

std::vector<const CLI::App*> verbsOf(const CLI::App& app) {
    return app.get_subcommands([](const CLI::App*) { return true; });
}

std::vector<const CLI::Option*> optionsOf(const CLI::App& verb, bool positional) {
    std::vector<const CLI::Option*> options = verb.get_options();
    std::erase_if(options,
                  [&](const CLI::Option* option) { return option->get_positional() != positional || option->check_lname("help"); });
    return options;
}

void printManual(const CLI::App& app) {
    std::cout << ".TH MACHAIR\\-CLI 1 \"\" \"machair " MACHAIR_VERSION "\" \"Machair\"\n.SH NAME\nmachair\\-cli \\- "
              << "sizes wet flies to their hooks and weighs them as a team, for the shell\n.SH SYNOPSIS\n.B machair\\-cli\n.I VERB FILE\n"
                 ".RI [ OPTION ...]\n.SH DESCRIPTION\n"
              << roff(
                     "A book is a bench book (*.machair, SQLite) or a bench file (*.machair.json); nothing asks which. Where FILE is -, a "
                     "bench file is read from standard input. Results go to standard output, as text or with --json as one object; "
                     "faults go to standard error, a line each: where, what was expected and what was there.")
              << "\n.SH VERBS\n";
    for (const CLI::App* verb : verbsOf(app)) {
        std::cout << ".SS " << roff(verb->get_name());
        for (const CLI::Option* option : optionsOf(*verb, true))
            std::cout << " " << roff(option->get_name(true));
        std::cout << "\n" << roff(verb->get_description()) << ".\n";
        for (const CLI::Option* option : optionsOf(*verb, false))
            std::cout << ".TP\n.B " << roff(option->get_name(false, true)) << "\n"
                      << roff(option->get_description()) << (option->get_required() ? " (needed)" : "") << "\n";
        std::cout << ".PP\n" << roff(verb->get_footer()) << "\n";
    }
    std::cout << ".SH EXIT STATUS\n.TP\n.B 0\ndone\n.TP\n.B 1\nthe input is at fault, as standard error says\n.TP\n.B 2\n"
                 "wrong usage\n.SH SEE ALSO\n.BR machair (1)\n";
}

std::string longNames(const CLI::App& verb) {
    std::string names = "--help";
    for (const CLI::Option* option : optionsOf(verb, false))
        for (const std::string& name : option->get_lnames())
            names += " --" + name;
    return names;
}

// Which list of the book an option's ids are of; empty where it asks for something else.
std::string_view listAsked(const std::string& option) {
    static constexpr std::pair<std::string_view, std::string_view> kLists[] = {
        {"pattern", "patterns"}, {"hook", "hooks"},     {"team", "teams"},       {"material", "materials"}, {"water", "waters"},
        {"rules", "rule_cards"}, {"list", "cut_lists"}, {"include", "patterns"}, {"avoid", "patterns"}};
    const auto found = std::ranges::find(kLists, option, &std::pair<std::string_view, std::string_view>::first);
    return found == std::end(kLists) ? std::string_view() : found->second;
}

// The cases of a shell's function: which list of the named file completes which option.
std::string idCases(const CLI::App& app, std::string_view call) {
    std::vector<std::string> seen;
    std::string cases;
    for (const CLI::App* verb : verbsOf(app))
        for (const CLI::Option* option : optionsOf(*verb, false))
            for (const std::string& name : option->get_lnames()) {
                const std::string_view list = listAsked(name);
                if (list.empty() || std::ranges::find(seen, name) != seen.end()) continue;
                seen.push_back(name);
                cases += "        --" + name + ") " + std::string(call) + " " + std::string(list) + "; return ;;\n";
            }
    return cases;
}

void printBash(const CLI::App& app) {
    std::string verbs, options;
    for (const CLI::App* verb : verbsOf(app)) {
        verbs += (verbs.empty() ? "" : " ") + verb->get_name();
        options += "        " + verb->get_name() + ") words=\"" + longNames(*verb) + "\" ;;\n";
    }
    std::cout << "# Completion of machair-cli for bash: verbs, options, and the ids of the file that is named.\n"
                 "_machair_ids() {\n    COMPREPLY=($(compgen -W \"$(machair-cli ids \"${COMP_WORDS[2]}\" --of \"$1\" 2>/dev/null)\" -- "
                 "\"$cur\"))\n}\n"
                 "_machair_cli() {\n    local cur=${COMP_WORDS[COMP_CWORD]} prev=${COMP_WORDS[COMP_CWORD-1]} words\n"
                 "    if [ \"$COMP_CWORD\" -eq 1 ]; then COMPREPLY=($(compgen -W \""
              << verbs << "\" -- \"$cur\")); return; fi\n    case $prev in\n"
              << idCases(app, "_machair_ids") << "    esac\n    case ${COMP_WORDS[1]} in\n"
              << options
              << "    esac\n    if [[ $cur == -* ]]; then COMPREPLY=($(compgen -W \"$words\" -- \"$cur\"))\n"
                 "    else COMPREPLY=($(compgen -f -- \"$cur\")); fi\n}\ncomplete -o filenames -F _machair_cli machair-cli\n";
}

void printZsh(const CLI::App& app) {
    std::cout << "#compdef machair-cli\n# Completion of machair-cli for zsh: verbs, options, and the ids of the file that is named.\n"
                 "_machair_ids() {\n    local -a ids\n    ids=(${(f)\"$(machair-cli ids ${words[3]} --of $1 2>/dev/null)\"})\n    compadd "
                 "-a ids\n}\n"
                 "_machair_cli() {\n    local -a verbs\n    verbs=(\n";
    const auto quoted = [](std::string text) {
        std::string safe;
        for (const char c : text)
            safe += c == '\'' ? "'\\''" : std::string(1, c);
        return safe;
    };
    std::string options;
    for (const CLI::App* verb : verbsOf(app)) {
        std::cout << "        '" << verb->get_name() << ":" << quoted(verb->get_description()) << "'\n";
        options += "        " + verb->get_name() + ") compadd -- " + longNames(*verb) + " ;;\n";
    }
    std::cout << "    )\n    if (( CURRENT == 2 )); then _describe verb verbs; return; fi\n    case ${words[CURRENT-1]} in\n"
              << idCases(app, "_machair_ids")
              << "    esac\n    if [[ ${words[CURRENT]} != -* ]]; then _files; return; fi\n    case ${words[2]} in\n"
              << options << "    esac\n}\n_machair_cli \"$@\"\n";
}

}  // namespace

int main(int argc, char** argv) {
    CLI::App app;
    int result = kDone;
    addVerbs(app, result);
    const std::string_view wanted = argc > 1 ? argv[1] : "";
    if (wanted == "man")
        printManual(app);
    else if (wanted == "bash")
        printBash(app);
    else if (wanted == "zsh")
        printZsh(app);
    else if (wanted == "numbers")
        std::cout << machair::whereTheNumbersComeFrom() << machair::whereTheDaysNumbersComeFrom();
    else {
        std::cerr << "machair-cli-pages man | bash | zsh | numbers\n";
        return kWrongUsage;
    }
    return kDone;
}
